/** What is used of a package that ships no types. */
declare module '@citation-js/core' {
  export const plugins: {
    readonly input: {
      chain(data: unknown, options: { readonly forceType?: string; readonly generateGraph?: boolean }): unknown;
    };
    readonly output: {
      format(name: string, data: readonly object[], options: { readonly format: 'text' }): string;
    };
  };
}
declare module '@citation-js/plugin-bibtex';
declare module '@citation-js/plugin-ris';
