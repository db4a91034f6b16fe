/** The catalogue itself, apart from what only speaks of kinds: whoever imports from here brings all of them along. */
export { KIND_CARDS } from './cards';
export { KINDS } from './kinds';
export {
  isKind,
  profilesWith,
  resolveKind,
  speciesProfile,
  type ProfileOf,
  type ResolvedKind,
} from './names';
export { ownFaults, type OwnFault } from './own-faults';
