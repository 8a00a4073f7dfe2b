export * from './cuts.js';
export * from './guide.js';
export * from './shapes.js';
export * from './steps.js';
