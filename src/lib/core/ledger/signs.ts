/** What is seen of a batch when it is looked at. */
export const SIGNS = ['none', 'firm', 'new growth', 'resists a tug', 'roots seen', 'wilting', 'rot'] as const;
