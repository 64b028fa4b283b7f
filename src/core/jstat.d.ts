/** jstat ships no types; only what the core uses is declared. */
declare module 'jstat' {
  const jStat: {
    gammaln(x: number): number;
    chisquare: { cdf(x: number, degrees: number): number };
    studentt: { inv(p: number, degrees: number): number };
    normal: {
      cdf(x: number, mean: number, sd: number): number;
      pdf(x: number, mean: number, sd: number): number;
      inv(p: number, mean: number, sd: number): number;
    };
  };
  export default jStat;
}
