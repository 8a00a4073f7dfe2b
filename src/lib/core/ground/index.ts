export * from './hedge.js';
export * from './order.js';
export * from './spacing.js';
