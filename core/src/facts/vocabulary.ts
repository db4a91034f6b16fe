/** The closed lists of what is written down. No schemas here: whoever only draws or words things needs no more than this. */

export const FOUND_HOW = [
  'walking',
  'digging',
  'in-water',
  'under-stone',
  'bought',
  'bought-with-workers',
  'swapped',
  'given',
  'small-colony',
  'unknown',
] as const;
export type FoundHow = (typeof FOUND_HOW)[number];
/** Caught after her flight: alone, without brood, on a day that says when her kind flies. */
export const caughtAlone = (found: FoundHow): boolean =>
  found === 'walking' || found === 'digging' || found === 'in-water';

export const FINDINGS = ['mites', 'other-parasites', 'injury', 'missing-leg'] as const;
export type Finding = (typeof FINDINGS)[number];

export const WET_FRONTS = ['dry', 'right', 'at-face', 'soaked', 'leaking'] as const;
export type WetFront = (typeof WET_FRONTS)[number];

/** Workers of a kind, and winged young: part of a look when there are any. */
export const CASTES = ['callows', 'majors', 'repletes', 'alates'] as const;
export type Caste = (typeof CASTES)[number];

export const PUPAE_IN = ['naked', 'cocoons', 'both'] as const;
export type PupaeIn = (typeof PUPAE_IN)[number];

export const MOULDS = ['none', 'far-plug', 'near-brood'] as const;
export type Mould = (typeof MOULDS)[number];

/** How much mould there is. */
export const MOULD_SIZES = ['speck', 'patch', 'much'] as const;
export type MouldSize = (typeof MOULD_SIZES)[number];

/** What else may be wrong with her home. */
export const TROUBLES = ['brown-water', 'black-water', 'flooded', 'dirt', 'cotton-pulled'] as const;
export type Trouble = (typeof TROUBLES)[number];

export const MEALS = ['sugar', 'protein', 'both', 'seeds', 'leaves'] as const;
export type Meal = (typeof MEALS)[number];
/** What a meal is made of: both are two foods, each with an end of its own. */
/** Leaves: for the fungus on which some live. */
export const FOODS = ['sugar', 'protein', 'seeds', 'leaves'] as const;
export type Food = (typeof FOODS)[number];
export const foodsOf = (meal: Meal): Food[] => (meal === 'both' ? ['sugar', 'protein'] : [meal]);

export const FEED_OUTCOMES = ['offered', 'taken', 'left', 'removed'] as const;
export type FeedOutcome = (typeof FEED_OUTCOMES)[number];

/** Where food was put: into her cell, which opens it, or where she need not be met. */
export const FEED_SPOTS = ['cell', 'outer-room', 'foraging-space'] as const;
export type FeedSpot = (typeof FEED_SPOTS)[number];

/** How it was put there. */
export const FEED_WAYS = ['drop', 'swab', 'foil', 'dish', 'feeder', 'prey'] as const;
export type FeedWay = (typeof FEED_WAYS)[number];

/** Infertile: alive, and given up as a founder. Merged: her colony was joined to another. */
export const LOSS_WAYS = ['died', 'escaped', 'given-away', 'merged', 'infertile'] as const;
export type LossWay = (typeof LOSS_WAYS)[number];

export const LOSS_CAUSES = [
  'unknown',
  'dried-out',
  'drowned',
  'mould',
  'starved',
  'too-warm',
  'disturbed',
  'injured',
  'other',
] as const;
export type LossCause = (typeof LOSS_CAUSES)[number];

export const CERTAINTIES = ['certain', 'likely', 'guess'] as const;
export type Certainty = (typeof CERTAINTIES)[number];

export const SHAPES = ['large-gaster', 'between', 'slim-large-head'] as const;
export type Shape = (typeof SHAPES)[number];

export const HEAT_SOURCES = ['mat', 'cable', 'lamp', 'radiator', 'sun', 'other'] as const;

export const LOOKING_SCHOOL_IDS = ['weekly', 'fortnightly', 'three-to-four-weeks', 'hands-off'] as const;
export type LookingSchoolId = (typeof LOOKING_SCHOOL_IDS)[number];

export const SPACE_SCHOOL_IDS = ['first-workers', 'about-fifteen', 'tube-full', 'from-the-start'] as const;
export type SpaceSchoolId = (typeof SPACE_SCHOOL_IDS)[number];

export const NEST_SCHOOL_IDS = [
  'count',
  'packed-full',
  'as-late-as-possible',
  'first-major',
  'behaviour',
] as const;
export type NestSchoolId = (typeof NEST_SCHOOL_IDS)[number];

/** When the old home is lit in a move. */
export const LIGHT_SCHOOL_IDS = ['at-once', 'offer-first', 'never'] as const;
export type LightSchoolId = (typeof LIGHT_SCHOOL_IDS)[number];

/** How long each step of a move is given. */
export const PATIENCE_SCHOOL_IDS = ['week', 'two-weeks', 'as-long-as-it-takes'] as const;
export type PatienceSchoolId = (typeof PATIENCE_SCHOOL_IDS)[number];

export const STOCK_KINDS = [
  'finished-tube',
  'empty-tube',
  'plug',
  'connector',
  'barrier',
  'food',
  'other',
] as const;
/** What joins two ends: a sleeve takes both in, a pipe is soft and long, an adapter has two unlike ends. */
export const CONNECTOR_FORMS = ['sleeve', 'pipe', 'adapter'] as const;
export type ConnectorForm = (typeof CONNECTOR_FORMS)[number];

export const STOCK_WHYS = ['counted', 'made', 'bought', 'used', 'broken'] as const;

/** What a colony lives in besides tubes. */
export const BODY_KINDS = ['joint-chamber', 'box', 'outworld', 'nest', 'cell', 'dish', 'drinker'] as const;
export type BodyKind = (typeof BODY_KINDS)[number];
export type PartKind = 'tube' | BodyKind;

export const MATERIALS = ['glass', 'plastic', 'plaster', 'aerated-concrete', 'wood', 'earth'] as const;
export type Material = (typeof MATERIALS)[number];

/** Where its water is: nowhere, in wet cotton, in the stone itself, in a sponge, in a tower, in a tube closed with cotton. */
export const WATER_SOURCES = ['none', 'cotton', 'stone', 'sponge', 'tower', 'plugged-tube'] as const;
export type WaterSource = (typeof WATER_SOURCES)[number];

/** How two parts stand to each other: only beside, one lying open in the other, or joined at two ports. */
export const JOINTS = [
  'beside',
  'lies-in',
  'taped',
  'sleeve',
  'push-fit',
  'thread',
  'vented-joint',
  'pipe',
  'adapter',
] as const;
export type Joint = (typeof JOINTS)[number];

/** A port, or a room of a nest: open, narrowed so that few pass at a time, plugged (air passes), or shut. */
export const GATES = ['open', 'narrowed', 'plugged', 'shut'] as const;
export type Gate = (typeof GATES)[number];

/** How wet a home was when it was watered. */
export const MOISTURES = ['dry', 'right', 'still-wet'] as const;
export type Moisture = (typeof MOISTURES)[number];

/** What a part beside hers was set up for: to move into, as more room, or to drink at. */
export const PURPOSES = ['move', 'room', 'water'] as const;
export type Purpose = (typeof PURPOSES)[number];

export const COVERS = ['dark', 'lit'] as const;
export type Cover = (typeof COVERS)[number];

/** How much of her brood, or of her workers, is in one tube of several. */
export const BROOD_THERE = ['none', 'some', 'all'] as const;
export type BroodThere = (typeof BROOD_THERE)[number];
export const WORKERS_THERE = ['none', 'scouts', 'some', 'most', 'all'] as const;
export type WorkersThere = (typeof WORKERS_THERE)[number];

/** Brood of one colony given to another of its kind: seen from either of the two. */
export const BROOD_WAYS = ['given', 'received'] as const;
export type BroodWay = (typeof BROOD_WAYS)[number];
/** What can be given: brood that does not walk, the youngest first. */
export const BROOD = ['eggs', 'larvae', 'pupae'] as const;
export type Brood = (typeof BROOD)[number];

/** What is counted when they are brought over by hand, in the order in which they are. */
export const TALLIED = ['workers', 'eggs', 'larvae', 'pupae', 'repletes', 'queens'] as const;
export type Tallied = (typeof TALLIED)[number];

/** How they came over, the gentlest first. */
export const MOVED_HOW = ['by-themselves', 'plug-swap', 'by-hand', 'tipped-out'] as const;
export type MovedHow = (typeof MOVED_HOW)[number];

export const TAKEN_TO = ['cleaned', 'kept-aside', 'thrown-away'] as const;
export type TakenTo = (typeof TAKEN_TO)[number];

export const WINGS = ['dealate', 'winged', 'unknown'] as const;
export type Wings = (typeof WINGS)[number];

/** Whatever tells how warm or damp it is at a place. */
export const PROBE_KINDS = ['logger', 'by-hand'] as const;
