export * from './common';
export * from './entries';
export * from './health';
export * from './queens';
export * from './settings';
export * from './shelf';
export * from './species';
export * from './view';
