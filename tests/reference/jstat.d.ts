/** The few functions of the statistics library that the checks use. */
declare module "jstat" {
  const jStat: {
    normal: {
      cdf: (x: number, mean: number, sd: number) => number;
      inv: (p: number, mean: number, sd: number) => number;
    };
    stdev: (values: number[], sample: boolean) => number;
  };
  export default jStat;
}
