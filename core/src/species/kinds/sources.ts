// Published sources of the catalogue. What no source is given for is common practice or a prior, and says so.

export const HOELLDOBLER_WILSON_1990 = 'Hölldobler & Wilson 1990, The Ants, Harvard University Press';
export const LENOIR_DEJEAN_1994 = 'Lenoir & Dejean 1994, Insectes Sociaux 41:225–234';
export const JOHNSON_2002 = 'Johnson 2002, Oecologia 132:60–67';
export const HASKINS_1950 =
  'Haskins & Haskins 1950, Annals of the Entomological Society of America 43:461–491';
export const HARTLEY_LESTER_2003 = 'Hartley & Lester 2003, New Zealand Entomologist 26:91–100';
export const ONEAL_MARKIN_1975 =
  'O’Neal & Markin 1975, Journal of the Georgia Entomological Society 10:60–65';
