import { declaredRange, formatGiven, formatTrimmed } from '../../quantity/index.js';
import { CMOL_MG, inMgPerKg, type Cation, type SoilAnalyte, type SoilFigure } from '../soilReport.js';
import type { SoilChoice } from './figures.js';
import type { SoilLine } from './readSoilSlip.js';

/** A share of the exchange that a paper tells, in %, and its line. */
export interface ToldShare {
  readonly percent: number;
  readonly line: number;
}
export type ToldShares = ReadonlyMap<SoilAnalyte, ToldShare>;

/** What soils of fields, gardens and pots hold in an extract, mg/kg or mg/L, from poor to very rich. What lies outside is possible, but not usual. */
const USUAL: Readonly<Partial<Record<SoilAnalyte, readonly [number, number]>>> = {
  P: [0.5, 900],
  K: [5, 3000],
  Ca: [20, 40_000],
  Mg: [4, 5000],
  Na: [1, 5000],
  S: [0.5, 900],
  B: [0.02, 20],
  Zn: [0.05, 300],
  Mn: [0.2, 900],
  Cu: [0.05, 300],
  Fe: [0.5, 2000],
  nitrateN: [0.2, 500],
  ammoniumN: [0.1, 300],
};
function isUsual({ analyte, unit, value }: SoilFigure): boolean {
  const bounds = unit === 'mg/kg' || unit === 'mg/L' ? USUAL[analyte] : undefined;
  const { mid } = declaredRange(value);
  return !bounds || (mid >= bounds[0] && mid <= bounds[1]);
}

const isCation = (analyte: SoilAnalyte): analyte is Cation => analyte in CMOL_MG;
/** What a figure of a cation is of the exchange, in %; undefined where that cannot be told. */
function percentOfExchange(figure: SoilFigure, cec: number | undefined): number | undefined {
  const mg = isCation(figure.analyte) ? inMgPerKg(figure)?.value.mid : undefined;
  return mg !== undefined && cec ? (mg / CMOL_MG[figure.analyte as Cation] / cec) * 100 : undefined;
}

/** Shares are rounded, and a measured capacity is not the sum of its cations: how far a figure may be from its share, in points and as a part of it. */
const LIKELY = [0.6, 0.1] as const;
const POSSIBLE = [2, 0.2] as const;
const fits = (percent: number, told: number, [points, part]: typeof LIKELY | typeof POSSIBLE): boolean =>
  Math.abs(percent - told) <= Math.max(points, part * told);

/** Of several readings the one that agrees with the shares told, else the only one that is usual, and why. */
function clearest(
  choices: readonly SoilChoice[],
  shares: ToldShares,
  cec: number | undefined,
): { readonly figure: SoilFigure; readonly says: string } | undefined {
  const figures = choices.flatMap(({ figure, says }) => (figure ? [{ figure, says }] : []));
  const [first] = figures;
  if (!first || figures.length !== choices.length || figures.some((f) => f.figure.analyte !== first.figure.analyte))
    return undefined;
  const only = (test: (figure: SoilFigure) => boolean, why: string) => {
    const left = figures.filter((f) => test(f.figure));
    return left[0] && left.length === 1 ? { ...left[0], says: `${left[0].says}: ${why}` } : undefined;
  };
  const told = shares.get(first.figure.analyte);
  const agrees =
    told &&
    only(
      (f) => {
        const percent = percentOfExchange(f, cec);
        return percent !== undefined && fits(percent, told.percent, LIKELY);
      },
      `no other reading agrees with its ${formatGiven(told.percent)} % of the exchange`,
    );
  return agrees ?? only(isUsual, 'no other reading is usual for a soil');
}

/** What does not agree with a share that is told, in words. */
function againstShare(figure: SoilFigure, shares: ToldShares, cec: number | undefined): string {
  const told = shares.get(figure.analyte);
  const percent = told && percentOfExchange(figure, cec);
  return percent === undefined || fits(percent, told?.percent ?? 0, POSSIBLE)
    ? ''
    : `; that is ${formatTrimmed(percent)} % of the exchange, but the report says ${formatGiven(told?.percent ?? 0)} %`;
}

/** Shares with the acidity among them are all of the exchange. Without it they may add to less, and on lime to more. */
const ALL: readonly SoilAnalyte[] = ['K', 'Ca', 'Mg', 'acidity'];
function sumOfShares(shares: ToldShares): { readonly line: number; readonly words: string } | undefined {
  const told = [...shares.values()];
  const sum = told.reduce((s, { percent }) => s + percent, 0);
  if (!ALL.every((a) => shares.has(a)) || Math.abs(sum - 100) <= 3) return undefined;
  return {
    line: told.at(-1)?.line ?? 0,
    words: `; the shares add to ${formatTrimmed(sum)} %, expected 100 with the acidity among them`,
  };
}

/**
 * A report weighed as a whole: a figure that could be several things is taken where its share of the exchange, or what is usual in a soil, leaves one;
 * what does not agree is told beside it.
 */
export function weighed(lines: readonly SoilLine[], shares: ToldShares): readonly SoilLine[] {
  const capacity = lines.find((l) => l.figure?.analyte === 'CEC')?.figure;
  const cec = capacity && declaredRange(capacity.value).mid;
  const sum = sumOfShares(shares);
  return lines.map((line) => {
    const alone = lines.filter((l) => l.number === line.number).length === 1;
    const clear = line.figure || !alone ? undefined : clearest(line.choices, shares, cec);
    const figure = line.figure ?? clear?.figure;
    const beside = [
      clear || !figure ? '' : againstShare(figure, shares, cec),
      sum?.line === line.number ? sum.words : '',
    ].join('');
    if (!clear && beside === '') return line;
    const says = `${clear?.says ?? line.says}${beside}`;
    if (!clear) return { ...line, says };
    const numbers = line.numbers.map((n) => (n.fate === 'asked' ? { ...n, fate: 'taken' as const, why: says } : n));
    return { ...line, figure, says, numbers };
  });
}
