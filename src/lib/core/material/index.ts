export * from './capacity.js';
export * from './clump.js';
export * from './foretold.js';
export * from './leaves.js';
export * from './lengths.js';
export * from './protection.js';
export * from './stem.js';
export * from './term.js';
