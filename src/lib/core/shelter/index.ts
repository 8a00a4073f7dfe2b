/** What lives through the winter where: how warm a shelter is, how light, and what that does to what stands in it. */
export { gainOf, lagOf, respond } from './response.js';
export type { Outside, Response } from './response.js';
export * from './ahead.js';
export * from './alive.js';
export * from './assign.js';
export * from './bodies.js';
export * from './carry.js';
export * from './fit.js';
export * from './guards.js';
export * from './hourly.js';
export * from './indoors.js';
export * from './light.js';
export * from './place.js';
export * from './thermal.js';
export * from './routes.js';
export * from './together.js';
export * from './winters.js';
