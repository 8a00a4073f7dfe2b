export * from './hormone.js';
export * from './mixing.js';
export * from './vessel.js';
