/** A trade word, how else it is written, and what it means in plain words. */
export interface Term {
  word: string;
  /** Other forms under which it is met, in lower case; the word itself need not be repeated. */
  also?: readonly string[];
  says: string;
}

/** Every trade word that the application uses, in plain English. Common practice, no source, where nothing else is said. */
export const GLOSSARY: readonly Term[] = [
  {
    word: 'band',
    also: ['bands'],
    says: 'A span of dates instead of one: eight in ten such queens come within it, one in ten before, one in ten after.',
  },
  {
    word: 'barrier',
    says: 'What is put on the rim of an open box so that ants cannot climb out, such as talc or a slippery paint.',
  },
  {
    word: 'batch',
    also: ['batches'],
    says: 'Brood laid together: the first batch becomes the first workers.',
  },
  { word: 'brood', says: 'Eggs, larvae and pupae.' },
  {
    word: 'callow',
    also: ['callows'],
    says: 'A worker just out of her pupa: pale and soft, and hardly able to work yet.',
  },
  {
    word: 'chamber',
    also: ['cell'],
    says: 'The part of the tube in which the queen lives, between the wet plug and the plug at the mouth.',
  },
  {
    word: 'cocoon',
    also: ['cocoons'],
    says: 'The brown silk case in which the pupae of many kinds lie; other kinds have naked pupae.',
  },
  {
    word: 'fully claustral',
    also: ['fasting'],
    says: 'A queen who shuts herself in and raises her first brood without eating. She needs water and peace.',
  },
  { word: 'semi-claustral', says: 'A queen who must eat while she raises her first brood.' },
  {
    word: 'social parasite',
    also: ['host workers'],
    says: 'A queen who cannot found alone: she needs workers of another kind, the host.',
  },
  {
    word: 'foraging space',
    also: ['outworld'],
    says: 'A small box joined to the home, where ants eat and leave their refuse.',
  },
  { word: 'founding', says: 'The time from the mating flight until the first workers look after the queen.' },
  {
    word: 'gaster',
    says: 'The hind part of an ant. A queen’s is large when she is full of reserves or eggs.',
  },
  {
    word: 'infertile',
    says: 'A queen whose eggs never become workers, most often because she did not mate.',
  },
  {
    word: 'larva',
    also: ['larvae'],
    says: 'What hatches from an egg: a white grub without legs, which eats and grows.',
  },
  { word: 'major', also: ['majors'], says: 'A large worker with a large head, in kinds that have them.' },
  {
    word: 'method',
    also: ['methods'],
    says: 'One of several ways that experienced keepers hold to, such as looking weekly or not at all. You choose; each answer shows what the others would say.',
  },
  {
    word: 'mould',
    says: 'Fungus on the plug or in the chamber. Far from the brood it is watched; near it the colony is offered a fresh tube.',
  },
  { word: 'orphans', also: ['orphan colony'], says: 'Workers whose queen is gone.' },
  {
    word: 'inner plug',
    also: ['plug'],
    says: 'The cotton between water and chamber. It lets her drink and keeps the water back.',
  },
  { word: 'protein', says: 'Dead insects, in tiny pieces: what larvae grow on and eggs are made of.' },
  {
    word: 'pupa',
    also: ['pupae'],
    says: 'The stage in which a grown larva turns into an ant. It does not eat.',
  },
  {
    word: 'quarantine',
    says: 'Standing beside, not among, the other tubes until it is sure that she brings no mites or fungus.',
  },
  { word: 'reckoned', also: ['reckoning'], says: 'Worked out from what was logged, not seen.' },
  { word: 'replete', also: ['repletes'], says: 'A worker whose gaster is a living store of food.' },
  { word: 'going round', also: ['go round'], says: 'Going from tube to tube, a short look at each.' },
  { word: 'second batch', says: 'The eggs laid after the first batch has become pupae or workers.' },
  {
    word: 'scouts',
    also: ['scout'],
    says: 'The first few workers that look round a new place. It is no move until brood and queen follow.',
  },
  {
    word: 'settle',
    also: ['settled'],
    says: 'To come to rest after a move. A queen who has not settled may eat her eggs.',
  },
  {
    word: 'visit',
    also: ['visits'],
    says: 'A day on which several tubes are seen to at once, so that they are disturbed as seldom as possible.',
  },
  { word: 'water line', says: 'How far the water reaches, measured from the closed end of the tube.' },
  {
    word: 'wet front',
    says: 'How far the water has crept into the inner plug. It should stop short of the chamber.',
  },
  {
    word: 'winter rest',
    also: ['wintering', 'winters'],
    says: 'Some months in the cold, in which many kinds neither lay nor eat. Without it many queens stop.',
  },
  {
    word: 'workers',
    also: ['worker', 'first workers'],
    says: 'Her daughters, who feed her, the brood and one another. The first ones are small.',
  },
];

const FORMS = GLOSSARY.flatMap((term) =>
  [term.word, ...(term.also ?? [])].map((form) => ({ form, term })),
).sort((a, b) => b.form.length - a.form.length);
const ANY = new RegExp(`\\b(${FORMS.map(({ form }) => form).join('|')})\\b`, 'gi');

/** A text cut at its trade words; each word once, where it is met first. */
export function withTerms(text: string): { text: string; term: Term | null }[] {
  const parts: { text: string; term: Term | null }[] = [];
  const met = new Set<Term>();
  let from = 0;
  for (const found of text.matchAll(ANY)) {
    const term = FORMS.find(({ form }) => form.toLowerCase() === found[0].toLowerCase())?.term;
    if (!term || met.has(term)) continue;
    met.add(term);
    if (found.index > from) parts.push({ text: text.slice(from, found.index), term: null });
    parts.push({ text: found[0], term });
    from = found.index + found[0].length;
  }
  return from < text.length ? [...parts, { text: text.slice(from), term: null }] : parts;
}

/** The trade words met in any of some texts, each once, as the page of all words has them. */
export const termsOf = (texts: readonly string[]): string[] =>
  withTerms(texts.join('. ')).flatMap(({ term }) => (term ? [term.word] : []));

/** The place of a word on the page of all words. */
export const termAddress = ({ word }: Term): string => `/glossary?word=${encodeURIComponent(word)}`;
