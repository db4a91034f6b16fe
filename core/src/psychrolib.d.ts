/** The functions that the tests use; the package ships no types. */
declare module 'psychrolib' {
  const psychrolib: {
    SI: unknown;
    SetUnitSystem(system: unknown): void;
    /** Pa at °C. */
    GetSatVapPres(tempC: number): number;
    /** °C, from °C and a share. */
    GetTDewPointFromRelHum(tempC: number, relHum: number): number;
    /** kg of water a kg of dry air, from °C, a share and Pa. */
    GetHumRatioFromRelHum(tempC: number, relHum: number, pressurePa: number): number;
    /** m³ a kg of dry air, from °C, kg/kg and Pa. */
    GetMoistAirVolume(tempC: number, humRatio: number, pressurePa: number): number;
  };
  export default psychrolib;
}
