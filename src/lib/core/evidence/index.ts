export * from './evidence.js';
export * from './looks.js';
export * from './trial.js';
