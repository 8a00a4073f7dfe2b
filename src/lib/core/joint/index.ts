export * from './plan.js';
export * from './solve.js';
export * from './binds.js';
export * from './byHand.js';
export type { Pattern, Part } from './patterns.js';
export * from './types.js';
export { JOINT } from './judged.js';
export type { Solvers } from './master.js';
