export * from './tasks.js';
