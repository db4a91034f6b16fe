export * from './quantity';
export * from './climate';
export * from './tube';
export * from './species';
export * from './log';
export * from './founding';
export * from './care';
export * from './view';
