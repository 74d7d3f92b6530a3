export { PAPER_LAYOUTS, type PaperLayout, type PaperStyle, printAnalysis } from './printAnalysis.js';
export { PAPER_LANGUAGE_NAMES, PAPER_LANGUAGES, type PaperLanguage } from './words.js';
export { practicePaper, type PracticePaper, type PracticeSample } from './practice.js';
export { printSoil, SOIL_LAYOUTS, type SoilLayout, type SoilStyle } from './printSoil.js';
export { PRACTICE_COMPOST, PRACTICE_SOIL } from './samples.js';
