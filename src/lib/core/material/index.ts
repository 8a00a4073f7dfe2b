export * from './capacity.js';
export * from './protection.js';
