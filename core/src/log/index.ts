export * from './entry';
export * from './home';
export { effectiveEntries, type EffectiveEntry } from './effective';
