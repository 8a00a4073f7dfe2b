export * from './benchSchema.js';
export * from './figures.js';
export * from './schema.js';
export * from './like.js';
