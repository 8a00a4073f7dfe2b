export * from './evidence.js';
