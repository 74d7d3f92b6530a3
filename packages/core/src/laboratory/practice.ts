import type { SoilFigure } from '../ground/index.js';
import { triangular, uniformDraws, type DeclaredValue } from '../quantity/index.js';
import type { AnalysisFigure } from '../shelf/index.js';
import { PAPER_LAYOUTS, printAnalysis, type PaperLayout } from './printAnalysis.js';
import { printSoil, SOIL_LAYOUTS } from './printSoil.js';
import { PAPER_LANGUAGES, FRAME, type PaperLanguage } from './words.js';

/** What is sent: a soil, or a product or leaf, with what is in it. */
export type PracticeSample =
  | { readonly kind: 'soil'; readonly figures: readonly SoilFigure[] }
  | { readonly kind: 'product'; readonly figures: readonly AnalysisFigure[] };
/** The paper that comes back. */
export interface PracticePaper {
  readonly text: string;
  readonly language: PaperLanguage;
  /** Days from sending to the paper. */
  readonly days: number;
}

/** How far a laboratory may be off either way, as a share of the value: duplicate samples differ by some per cent. */
const ERROR = 0.08;

const scaled = (value: DeclaredValue, by: number): DeclaredValue => {
  const times = (n: number): number => Number((n * by).toPrecision(3));
  if (value.kind === 'number') return { kind: 'number', value: times(value.value) };
  if (value.kind === 'below') return value;
  return { kind: 'range', low: times(value.low), mid: times(value.mid), high: times(value.high) };
};

/** Layouts in which a laboratory reports; the others are those of bags. */
const LAB_LAYOUTS: readonly PaperLayout[] = PAPER_LAYOUTS.filter((l) => l !== 'valueFirst' && l !== 'oneLine');

/**
 * Sends a sample to the practice laboratory, a stand-in that ships with the program: its paper comes in one of many layouts, languages and unit
 * styles, with a laboratory's error on every figure. The same seed gives the same paper.
 * @example practicePaper({ kind: 'soil', figures }, 7).text
 */
export function practicePaper(sample: PracticeSample, seed: number): PracticePaper {
  const draw = uniformDraws(seed);
  const one = <T>(of: readonly T[]): T => of[Math.min(of.length - 1, Math.floor(draw() * of.length))] as T;
  const language = one(PAPER_LANGUAGES);
  const decimal = language === 'en' ? ('point' as const) : ('comma' as const);
  const days = 4 + Math.floor(draw() * 8);
  const error = (): number => triangular({ low: 1 - ERROR, mid: 1, high: 1 + ERROR }, draw());
  const head = `${FRAME.analysis[language]}\n${FRAME.sample[language]}: ${Math.floor(1000 + draw() * 9000)}`;
  const body =
    sample.kind === 'soil'
      ? printSoil(
          sample.figures.map((f) => ({
            ...f,
            value: f.analyte === 'pH' ? roundPH(f.value, error()) : scaled(f.value, error()),
          })),
          {
            layout: one(SOIL_LAYOUTS),
            language,
            decimal,
            contents: one(['mg/kg', 'ppm', 'mg/100 g', 'mg kg-1'] as const),
          },
        )
      : printAnalysis(
          sample.figures.map((f) => ({ ...f, value: scaled(f.value, error()) })),
          { layout: one(LAB_LAYOUTS), language, decimal },
        );
  return { text: `${head}\n${body}`, language, days };
}

/** A pH is off by tenths, not by a share. */
function roundPH(value: DeclaredValue, error: number): DeclaredValue {
  if (value.kind !== 'number') return value;
  return { kind: 'number', value: Number((value.value + (error - 1) * 2).toFixed(1)) };
}
