/** Colours by what they stand for. Screens use these names only, never a literal colour. */
export interface Palette {
  dark: boolean;
  /** Warm paper behind everything. */
  ground: string;
  /** A sheet lying on it. */
  sheet: string;
  ink: string;
  inkSoft: string;
  rule: string;
  /** The one accent: moss. */
  moss: string;
  onMoss: string;
  mossWash: string;
  /** At risk soon: amber. */
  amber: string;
  amberWash: string;
  /** At risk now: fired clay. */
  clay: string;
  clayWash: string;
  glass: string;
  glassFill: string;
  water: string;
  waterDeep: string;
  cotton: string;
  cottonLine: string;
  cottonWet: string;
  queen: string;
  brood: string;
  broodLine: string;
  cocoon: string;
  sleeve: string;
  sleeveInk: string;
}

const paper: Palette = {
  dark: false,
  ground: '#f5efe3',
  sheet: '#fdf9f0',
  ink: '#2b2620',
  inkSoft: '#5f5649',
  rule: '#d9cfbe',
  moss: '#4a6032',
  onMoss: '#fdf9f0',
  mossWash: '#e6ead6',
  amber: '#8a5200',
  amberWash: '#f7e5c4',
  clay: '#9c3418',
  clayWash: '#f6dccf',
  glass: '#6b827b',
  glassFill: '#fbfaf5',
  water: '#b9d3cf',
  waterDeep: '#4f807c',
  cotton: '#ece3d2',
  cottonLine: '#cdbfa6',
  cottonWet: '#b4c6be',
  queen: '#2b2118',
  brood: '#fffaf0',
  broodLine: '#8d7a5c',
  cocoon: '#d8b98a',
  sleeve: '#b9a383',
  sleeveInk: '#2b2118',
};

const night: Palette = {
  dark: true,
  ground: '#191613',
  sheet: '#231f1a',
  ink: '#ede5d6',
  inkSoft: '#b6a995',
  rule: '#40382e',
  moss: '#adc587',
  onMoss: '#1d2412',
  mossWash: '#2c3320',
  amber: '#e6b055',
  amberWash: '#3a2d16',
  clay: '#f19073',
  clayWash: '#40231a',
  glass: '#8ba19a',
  glassFill: '#2a2722',
  water: '#3c5f5f',
  waterDeep: '#7fb0ac',
  cotton: '#5b5346',
  cottonLine: '#7b705e',
  cottonWet: '#43574f',
  queen: '#e2c9a4',
  brood: '#f3ead6',
  broodLine: '#a28e6c',
  cocoon: '#c39b62',
  sleeve: '#53452f',
  sleeveInk: '#f0e4cf',
};

/** Deep red on black, for a look at night: ants see red light poorly (common practice, no source). */
const red: Palette = {
  dark: true,
  ground: '#000000',
  sheet: '#0d0000',
  ink: '#f04a38',
  inkSoft: '#e34a38',
  rule: '#4a0f09',
  moss: '#f0553f',
  onMoss: '#000000',
  mossWash: '#240503',
  amber: '#ff6a4a',
  amberWash: '#2e0804',
  clay: '#ff7a5c',
  clayWash: '#3d0b06',
  glass: '#b53526',
  glassFill: '#0a0000',
  water: '#3d0905',
  waterDeep: '#b53526',
  cotton: '#2c0704',
  cottonLine: '#5a140c',
  cottonWet: '#4a0d07',
  queen: '#ff5a45',
  brood: '#d93c2a',
  broodLine: '#7a1a10',
  cocoon: '#b02d1e',
  sleeve: '#2a0603',
  sleeveInk: '#f04a38',
};

export const PALETTES = { paper, night, red } as const;
export type PaletteName = keyof typeof PALETTES;

export const FONTS = {
  serif: 'Vollkorn_500Medium',
  serifBold: 'Vollkorn_700Bold',
  serifItalic: 'Vollkorn_400Regular_Italic',
  sans: 'AtkinsonHyperlegible_400Regular',
  sansBold: 'AtkinsonHyperlegible_700Bold',
} as const;

/** Distances in px; each twice a thumb's unsteadiness apart. */
export const SPACE = { xs: 4, s: 8, m: 12, l: 16, xl: 24, xxl: 36 } as const;

/** Smallest target for a finger, px. */
export const TARGET = 44;

/** From this width on there are two panes. */
export const WIDE = 900;

/** From this width on a colony's page has the shelf beside it. */
export const WIDEST = 1200;

/** Below this height nothing stays at the foot of a page, px. */
export const LOW = 560;

/** Width of the rail with the places, px. */
export const RAIL = 88;

/** Width of the shelf's own pane, px. */
export const SHELF_PANE = 300;

/** Most that one column of a page is wide, px. */
export const COLUMN = 760;

/** Width of the column that stays in view beside the answers, px. */
export const SIDE = 400;

/** Narrowest that a tube is drawn while another stands beside it, px. */
export const TUBE_COLUMN = 340;
