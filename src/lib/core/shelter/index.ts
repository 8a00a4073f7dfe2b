/** What lives through the winter where: how warm a shelter is, how light, and what that does to what stands in it. */
export { gainOf, lagOf, respond } from './response.js';
export type { Outside, Response } from './response.js';
