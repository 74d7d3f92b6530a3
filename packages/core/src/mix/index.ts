export { type Component, labelBasis, type Mixture, mixture, readParts, type TypedPart } from './mixture.js';
export { mixAsProduct } from './asProduct.js';
export { conflictsIn } from './incompatible.js';
export { type Blend, blend, type BlendTarget } from './blend.js';
export { type WeighOut, weighOut } from './parts.js';
export { measuredWords, weighedWords } from './weighable.js';
