export type { Correction, LabelLine, LabelReading, LineKind } from './reading.js';
export * from './readLabel.js';
export { analyteNamed } from './names.js';
export type { NamedAnalyte } from './named.js';
export { commaIn, findValues, settleThousands, unclearWords, type CommaMark, type FoundValue } from './values.js';
