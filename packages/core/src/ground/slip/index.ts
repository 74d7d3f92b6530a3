export { readSoilSlip, type SoilLine } from './readSoilSlip.js';
export type { SoilChoice } from './figures.js';
