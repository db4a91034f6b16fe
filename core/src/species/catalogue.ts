/** The catalogue itself, apart from what only speaks of kinds: whoever imports from here brings all of them along. */
export { KIND_CARDS } from './cards';
export { KINDS } from './kinds';
export { isKind, resolveKind, speciesProfile, type ResolvedKind } from './names';
