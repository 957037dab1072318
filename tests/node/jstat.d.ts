/** What is asked of jstat, which comes without types. */
declare module 'jstat' {
  const jstat: {
    studentt: { cdf: (t: number, degrees: number) => number; inv: (share: number, degrees: number) => number };
    normal: { inv: (share: number, mean: number, deviation: number) => number };
  };
  export default jstat;
}
