export * from './figure.js';
export * from './working.js';
