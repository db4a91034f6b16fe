import type { WetFront } from '../facts';

/** What a plug looks like, what it means and how it is mended (common practice, no source). */
export interface PlugSign {
  id: WetFront | 'mouth-tight';
  name: string;
  looks: string;
  means: string;
  mend: string;
  good: boolean;
  /** Where the dark wet front ends, as a share of the inner plug from the water; above 1 it has passed the face. */
  front: number;
}

/**
 * Where the wet front of each finding ends, as a share of the inner plug from the water: for every drawing. Above 1 it has passed the face.
 */
export const FRONT_SHARE: Record<WetFront, number> = {
  dry: 0.15,
  right: 0.8,
  'at-face': 1,
  soaked: 1.05,
  leaking: 1.2,
};

export const PLUG_SIGNS: readonly PlugSign[] = [
  {
    id: 'dry',
    name: 'Dry',
    looks: 'white all through, or dark only at the water',
    means: 'pressed too tight, or a bubble keeps the water away: she has no water',
    mend: 'Tap the closed end down until the water touches the cotton; if it stays dry, make a new plug with less cotton.',
    good: false,
    front: FRONT_SHARE.dry,
  },
  {
    id: 'right',
    name: 'Right',
    looks: 'dark close to the chamber, with a white rim left',
    means: 'she can drink and cannot drown',
    mend: 'Leave it.',
    good: true,
    front: FRONT_SHARE.right,
  },
  {
    id: 'at-face',
    name: 'At the face',
    looks: 'dark just up to the chamber',
    means: 'wet enough; a warmer day may soak it',
    mend: 'Keep her temperature steady and read it again at the next look.',
    good: true,
    front: FRONT_SHARE['at-face'],
  },
  {
    id: 'soaked',
    name: 'Soaked',
    looks: 'dark and shining at the face',
    means: 'she may drown in the film',
    mend: 'Before she moves in: draw it out, mop the chamber dry, push a firmer plug once. With her inside: offer a fresh tube.',
    good: false,
    front: FRONT_SHARE.soaked,
  },
  {
    id: 'leaking',
    name: 'Leaking',
    looks: 'drops or a pool in the chamber',
    means: 'too little cotton, or the water end was warmed',
    mend: 'Never use it. Take heat from the water end; a new, firmer plug; with her inside a fresh tube now.',
    good: false,
    front: FRONT_SHARE.leaking,
  },
  {
    id: 'mouth-tight',
    name: 'Too tight at the mouth',
    looks: 'the outer cotton had to be forced and stands hard',
    means: 'no air passes, and pushing glass breaks it',
    mend: 'Use half the cotton. She cannot pass, air can.',
    good: false,
    front: FRONT_SHARE.right,
  },
];

export interface CheckItem {
  id: string;
  says: string;
  why: string;
  caution?: string;
}

/** Before the tube is filled (common practice, no source). */
export const HYGIENE: readonly CheckItem[] = [
  {
    id: 'hands',
    says: 'Hands washed hot and soapy',
    why: 'mould from unclean kit is a leading cause of loss',
  },
  {
    id: 'tube',
    says: 'New tube, or one washed hot and rinsed well',
    why: 'soap and spores stay in corners',
    caution: 'Look for cracks first; cracked glass goes in the bin, wrapped.',
  },
  { id: 'cotton', says: 'Fresh cotton, nothing pulled from a used set-up', why: 'used cotton carries mould' },
  { id: 'mop', says: 'Chamber mopped dry', why: 'drops are pools to her brood' },
];

export interface WaterSource {
  id: 'bottled' | 'boiled' | 'rested' | 'tap' | 'distilled';
  name: string;
  chlorine: 'free of it' | 'removed' | 'stays';
  chloramine: 'free of it' | 'stays';
  verdict: 'good' | 'good unless chloramine is used' | 'not yet' | 'for nest towers';
  says: string;
  caution?: string;
}

/** Boiling or resting drives out free chlorine, not chloramine: ask the waterworks which it uses (common practice, no source). */
export const WATER_SOURCES: readonly WaterSource[] = [
  {
    id: 'bottled',
    name: 'Bottled still water',
    chlorine: 'free of it',
    chloramine: 'free of it',
    verdict: 'good',
    says: 'Nothing to do.',
  },
  {
    id: 'boiled',
    name: 'Tap water, boiled and cooled',
    chlorine: 'removed',
    chloramine: 'stays',
    verdict: 'good unless chloramine is used',
    says: 'Boil for some minutes, let it cool to the warmth of the room, then fill.',
    caution: 'Boiling water scalds, and breaks cold glass. Fill only when it has cooled.',
  },
  {
    id: 'rested',
    name: 'Tap water, rested open for a day',
    chlorine: 'removed',
    chloramine: 'stays',
    verdict: 'good unless chloramine is used',
    says: 'Wide vessel, covered with cloth, a day and a night.',
  },
  {
    id: 'tap',
    name: 'Straight from the tap',
    chlorine: 'stays',
    chloramine: 'stays',
    verdict: 'not yet',
    says: 'Rest or boil it first.',
  },
  {
    id: 'distilled',
    name: 'Pure or distilled water',
    chlorine: 'free of it',
    chloramine: 'free of it',
    verdict: 'for nest towers',
    says: 'Leaves no lime in a nest’s water tower; a tube does not need it.',
  },
];

/** Both schools on a pinch of substrate in the chamber (common practice, no source). */
export const SUBSTRATE = {
  yes: 'For: she builds her cell with it, and feels at home. Sterilised only: baked or boiled, cooled and nearly dry.',
  no: 'Against: it hides the brood from every look, and makes later transfers hard.',
  caution: 'Hot sand holds its heat long and burns: let it cool fully; never into cold glass.',
} as const;
