/** A divider of soft straw through cotton, and a feeding room before it, mm. Prior. */
export const DIVIDER_MM = 25;

/** The bore of a straw through which they pass and in which nobody dries out, mm. Prior. */
export const STRAW_MM = 4;
