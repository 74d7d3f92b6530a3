declare module 'jstat' {
  export const jStat: { readonly noncentralt: { readonly cdf: (x: number, df: number, shift: number) => number } };
}
