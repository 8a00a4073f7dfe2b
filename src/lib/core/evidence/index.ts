export * from './evidence.js';
export * from './looks.js';
