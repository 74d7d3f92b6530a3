export type { Correction, LabelLine, LabelReading, LineKind } from './reading.js';
export * from './readLabel.js';
export { analyteNamed, type NamedAnalyte } from './names.js';
export { commaIn, findValues, settleThousands, unclearWords, type CommaMark, type FoundValue } from './values.js';
