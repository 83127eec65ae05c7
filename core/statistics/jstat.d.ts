/** The part of jstat (which ships no types) that the core uses. */
declare module 'jstat' {
  const jstat: {
    studentt: {
      inv(probability: number, degreesOfFreedom: number): number
      cdf(x: number, degreesOfFreedom: number): number
    }
    normal: { cdf(x: number, mean: number, sd: number): number }
    noncentralt: { cdf(x: number, degreesOfFreedom: number, noncentrality: number): number }
  }
  export default jstat
}
