import type {
  BroodWay,
  Caste,
  Certainty,
  FeedOutcome,
  FeedSpot,
  FeedWay,
  FoundHow,
  LossCause,
  LossWay,
  Meal,
  Mould,
  MouldSize,
  PupaeIn,
  Shape,
  Trouble,
  WetFront,
  Wings,
} from '@gentle-burrow/core/vocabulary';

/** What the closed lists of the log are called on the screen, each list once. */

export const FOUND_WORDS: Record<FoundHow, string> = {
  walking: 'caught walking',
  digging: 'caught digging',
  'in-water': 'caught in water',
  'under-stone': 'found under a stone or wood',
  bought: 'bought',
  'bought-with-workers': 'bought with workers',
  swapped: 'swapped',
  given: 'given',
  'small-colony': 'a small wild colony',
  unknown: 'how is not known',
};

export const FRONT_WORDS: Record<WetFront, string> = {
  dry: 'plug dry',
  right: 'plug right',
  'at-face': 'wet to the face',
  soaked: 'plug soaked',
  leaking: 'plug leaking',
};

export const MOULD_SIZE_WORDS: Record<MouldSize, string> = {
  speck: 'a speck',
  patch: 'a patch',
  much: 'much of it',
};

export const TROUBLE_WORDS: Record<Trouble, string> = {
  'brown-water': 'brown water',
  'black-water': 'black water',
  flooded: 'her cell is flooded',
  dirt: 'dirt',
  'cotton-pulled': 'cotton pulled about',
};

export const MOULD_WORDS: Record<Mould, string> = {
  none: 'no mould',
  'far-plug': 'mould on the far plug',
  'near-brood': 'mould near the brood',
};

export const PUPAE_WORDS: Record<PupaeIn, string> = {
  naked: 'pupae naked',
  cocoons: 'pupae in cocoons',
  both: 'pupae of both kinds',
};

export const CASTE_WORDS: Record<Caste, string> = {
  callows: 'callows',
  majors: 'majors',
  repletes: 'repletes',
  alates: 'winged young',
};

export const CERTAINTY_WORDS: Record<Certainty, string> = {
  certain: 'certain',
  likely: 'likely',
  guess: 'a guess',
};

export const CAUSE_WORDS: Record<LossCause, string> = {
  unknown: 'cause unknown',
  'dried-out': 'dried out',
  drowned: 'drowned',
  mould: 'mould',
  starved: 'starved',
  'too-warm': 'too warm',
  disturbed: 'disturbed too often',
  injured: 'injured',
  other: 'another cause',
};

export const BROOD_WAY_WORDS: Record<BroodWay, string> = {
  given: 'given away',
  received: 'received',
};
export const LOSS_WORDS: Record<LossWay, string> = {
  died: 'died',
  escaped: 'escaped',
  'given-away': 'given away',
  merged: 'joined to another colony',
  infertile: 'given up as infertile',
};

export const SHAPE_WORDS: Record<Shape, string> = {
  'large-gaster': 'large gaster and thorax, small head',
  between: 'in between',
  'slim-large-head': 'slim gaster, large head',
};

export const MEAL_WORDS: Record<Meal, string> = {
  sugar: 'sugar',
  protein: 'protein',
  both: 'sugar and protein',
  seeds: 'seeds',
  leaves: 'leaves for the fungus',
};

export const OUTCOME_WORDS: Record<FeedOutcome, string> = {
  offered: 'offered',
  taken: 'eaten',
  left: 'left',
  removed: 'taken out',
};

export const SPOT_WORDS: Record<FeedSpot, string> = {
  cell: 'in her cell',
  'outer-room': 'in the outer room',
  'foraging-space': 'in the foraging space',
};

export const WAY_WORDS: Record<FeedWay, string> = {
  drop: 'as a free drop',
  swab: 'on a cotton bud',
  foil: 'on foil or paper',
  dish: 'in a dish',
  feeder: 'in a feeder',
  prey: 'by tweezers',
};

export const WINGS_WORDS: Record<Wings, string> = {
  dealate: 'shed',
  winged: 'kept',
  unknown: 'not noted',
};
