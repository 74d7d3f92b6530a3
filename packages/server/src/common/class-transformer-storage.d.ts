declare module 'class-transformer/cjs/storage.js' {
  /** Types given by `@Type`, which class-transformer keeps but does not export from its root. */
  export const defaultMetadataStorage: {
    findTypeMetadata(target: object, property: string): { readonly typeFunction: () => unknown } | undefined;
  };
}
