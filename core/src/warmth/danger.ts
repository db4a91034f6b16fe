/** From there on it is dangerous for most kinds, °C. Common practice, no source: "from the mid-thirties on". */
export const DANGER_C = 34;
