export * from './beta.js';
export * from './betaBinomial.js';
export * from './chain.js';
export * from './strike.js';
export * from './sum.js';
export * from './words.js';
export * from './rooting.js';
export * from './rootingWords.js';
