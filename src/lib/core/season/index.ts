export * from './anchors.js';
export * from './climate.js';
export * from './frost.js';
export * from './growth.js';
export * from './solar.js';
export * from './windows.js';
