export { PAPER_LAYOUTS, type PaperLayout, type PaperStyle, printAnalysis } from './printAnalysis.js';
export { PAPER_LANGUAGE_NAMES, PAPER_LANGUAGES, type PaperLanguage } from './words.js';
