export type { Choice, Correction, LabelLine, LabelReading, LineKind, Taught } from './reading.js';
export * from './readLabel.js';
export { analyteNamed, figureInCell, type NamedAnalyte } from './named.js';
