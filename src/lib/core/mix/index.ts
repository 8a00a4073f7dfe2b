export * from './hormone.js';
export * from './mixing.js';
export * from './vessel.js';
export * from './prepare.js';
export * from './readMix.js';
export * from './potOn.js';
export * from './stands.js';
