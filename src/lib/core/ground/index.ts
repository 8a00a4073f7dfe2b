export * from './spacing.js';
