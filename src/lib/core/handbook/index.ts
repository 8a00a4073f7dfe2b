export * from './figures.js';
export * from './schema.js';
