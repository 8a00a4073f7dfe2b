export * from './effort.js';
export * from './flushes.js';
export * from './forecast.js';
export * from './keep.js';
export * from './options.js';
export * from './walk.js';
export * from './wantOdds.js';
