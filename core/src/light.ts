/**
 * What the first screen needs of the core: no schema and nothing that reckons. Whoever imports from here keeps both out
 * of what is fetched before the first picture.
 */
export { DEFAULT_SETTINGS } from './facts/default-settings';
export { corrected, isWithdrawn } from './log/corrected';
export { seenByOther, twinId } from './log/twin';
export { placeIdNow } from './log/place-now';
export { nounOf, PART_NOUNS } from './housing/nouns';
export { partOf, standing } from './housing/parts';
export { endAt, linksOf } from './housing/ports';
export { usualTube } from './tube/usual-tube';
export { countText } from './quantity/count';
export { daysText } from './quantity/phrase';
export { byUrgency } from './view/by-urgency';
export { plainLetters } from './species/plain-letters';
