/** The part of psychrolib (which ships no types) that the tests use. */
declare module 'psychrolib' {
  const psychrolib: {
    SI: number
    SetUnitSystem(system: number): void
    GetStandardAtmPressure(altitudeM: number): number
  }
  export default psychrolib
}
