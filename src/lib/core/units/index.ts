export * from './convert.js';
export * from './measure.js';
export * from './say.js';
export * from './zones.js';
