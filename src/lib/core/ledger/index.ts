export * from './code.js';
export * from './effective.js';
export * from './entries.js';
export * from './foldBatch.js';
export * from './tray.js';
