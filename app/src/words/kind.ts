import type { Colour, Defence, FounderType, KindFigures, Level } from '@gentle-burrow/core/species';

/** How she founds, in a few words beside her name. */
export const FOUNDER_WORDS: Record<FounderType, string> = {
  'fully-claustral': 'founds without food',
  'semi-claustral': 'must eat while founding',
  'socially-parasitic': 'needs a host colony',
  dependent: 'founds with workers of her own',
  unknown: 'founding type not known',
};

/** From which level a figure was taken, before who says so; nothing for the kind itself. */
export const LEVEL_WORDS: Record<Level, string> = {
  own: '',
  species: '',
  genus: 'of her genus; ',
  type: 'of such ants at large; ',
};

export const QUEENS_WORDS: Record<KindFigures['queens'], string> = {
  one: 'one in a colony',
  several: 'several in a colony',
  either: 'one or several in a colony',
  none: 'none: workers lay',
  unknown: 'not known',
};

export const CASTE_WORDS: Record<KindFigures['castes'], string> = {
  alike: 'all of about one size',
  sizes: 'of many sizes',
  majors: 'small ones, and large ones with large heads',
  unknown: 'not known',
};

export const DIET_WORDS: Record<KindFigures['diet'], string> = {
  omnivore: 'sugar and prey',
  harvester: 'seeds, and prey for brood',
  nectar: 'much sugar, and some prey',
  predator: 'prey above all',
  fungus: 'a fungus that they grow',
};

export const DEFENCE_WORDS: Record<Defence, string> = {
  none: 'hardly',
  bites: 'bites',
  smears: 'smears and smells',
  'sprays-acid': 'sprays acid',
  'stings-weakly': 'stings weakly',
  stings: 'stings',
  'stings-badly': 'stings badly',
};

export const COLOUR_WORDS: Record<Colour, string> = {
  black: 'black',
  brown: 'brown',
  red: 'reddish',
  yellow: 'yellow',
  green: 'green',
  'two-coloured': 'of two colours',
};

export const TEMPER_WORDS: Record<KindFigures['temper'], string> = {
  calm: 'calm',
  quick: 'quick',
  fierce: 'fierce',
  shy: 'shy',
  unknown: 'not known',
};

export const WINTERS_AS_WORDS: Record<KindFigures['wintersAs'], string> = {
  larvae: 'larvae',
  adults: 'no brood',
  unknown: 'not known',
};

export const REST_WORDS: Record<KindFigures['rest'], string> = {
  none: 'none',
  cool: 'cool, about 12 to 16 °C or an unheated room',
  cold: 'cold, about 5 to 8 °C',
  unknown: 'not known',
};

export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** "Aug, Sep, Oct (in the north)". */
export const monthsText = (months: readonly number[]): string =>
  months.length === 0 ? 'not known' : `${months.map((m) => MONTHS[m - 1]).join(', ')} (in the north)`;
