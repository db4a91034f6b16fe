/** J/(mol·K), exact since the 2019 SI. */
export const GAS_CONSTANT = 8.314462618;
export const WATER_G_PER_MOL = 18.01528;
