export {
  amendmentSchema,
  disturbanceOf,
  entryBodySchema,
  entrySchema,
  referencesOf,
  type Amendment,
  type BodyOf,
  type Entry,
  type EntryBody,
  type EntryKind,
  type EntryOf,
  type FactEntry,
} from './entry';
export { corrected, isWithdrawn } from './corrected';
export { inOrder } from './in-order';
export { effectiveEntries, type EffectiveEntry } from './effective';
export { DISTURBANCES, type Disturbance, type References } from './kind';
export { broodSchema, type BroodMoved } from './kinds/brood';
export { coordinatesSchema, intakeSchema } from './kinds/intake';
export { homeSchema, type HomeChange, type Tally } from './kinds/home';
export { feedSchema } from './kinds/feed';
export { healthSchema } from './kinds/health';
export { identifySchema } from './kinds/identify';
export { lookSchema } from './kinds/look';
export { lossSchema } from './kinds/loss';
export { moveSchema } from './kinds/move';
export { signSchema } from './kinds/sign';
export { placeIdNow } from './place-now';
export { KIND_NAMES, KINDS, type KindName } from './registry';
export { seenByOther, twinId } from './twin';
export { speciesBeliefSchema, type SpeciesBelief } from './species-belief';
