declare module 'jstat' {
  const jStat: { readonly noncentralt: { readonly cdf: (x: number, df: number, shift: number) => number } };
  export default jStat;
}
