export * from './simulate.js';
export * from './types.js';
export * from './fromPlan.js';
