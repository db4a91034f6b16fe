/** The two functions that the tests use; the package ships no types. */
declare module 'psychrolib' {
  const psychrolib: {
    SI: unknown;
    SetUnitSystem(system: unknown): void;
    /** Pa at °C. */
    GetSatVapPres(tempC: number): number;
  };
  export default psychrolib;
}
