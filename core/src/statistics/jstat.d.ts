/** The part of the statistics package that Fleam uses; it ships no types of its own. */
declare module 'jstat' {
  const statistics: {
    jStat: {
      studentt: {
        inv: (probability: number, degreesOfFreedom: number) => number
        cdf: (t: number, degreesOfFreedom: number) => number
      }
      models: {
        ols: (
          endogenous: readonly number[],
          exogenous: readonly (readonly number[])[],
        ) => { coef: number[]; t: { se: number[] }; R2: number }
      }
      normal: {
        inv: (probability: number, mean: number, standardDeviation: number) => number
        cdf: (value: number, mean: number, standardDeviation: number) => number
      }
    }
  }
  export default statistics
}
