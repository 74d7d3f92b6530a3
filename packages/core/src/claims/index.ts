export * from './checks.js';
export * from './claim.js';
export * from './content.js';
export * from './dose.js';
export * from './elementChecklist.js';
export * from './verdict.js';
