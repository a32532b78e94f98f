/** The part of jStat that the checks use; it ships no types. */
declare module 'jstat' {
  const jstat: {
    normal: {
      inv(p: number, mean: number, sd: number): number;
      cdf(x: number, mean: number, sd: number): number;
    };
    chisquare: { inv(p: number, degrees: number): number; cdf(x: number, degrees: number): number };
    centralF: { cdf(x: number, above: number, below: number): number };
    studentt: { inv(p: number, degrees: number): number };
    beta: { pdf(x: number, a: number, b: number): number };
    binomial: { pdf(k: number, n: number, p: number): number };
    ibeta(x: number, a: number, b: number): number | false;
  };
  export default jstat;
}
