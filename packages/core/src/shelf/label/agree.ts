import { compoundPerElement } from '../../nutrient/index.js';
import { declaredRange, formatGiven, formatTrimmed } from '../../quantity/index.js';
import { decimalsOf, type Finding } from '../labelChecks.js';
import { isPerVolume, UNIT_FACTOR } from '../massFraction.js';
import type { AnalysisFigure } from '../product.js';
import type { Context } from './context.js';
import type { ReadLine } from './lines.js';

/** A value with its unit, whatever it is of. */
export type ValueInUnit = Pick<AnalysisFigure, 'value' | 'unit'>;
type Span = readonly [low: number, high: number];

/** Whether two values of one thing are the same but for rounding, in units of mass. */
export function sameShare(a: ValueInUnit, b: ValueInUnit): boolean {
  if (isPerVolume(a.unit) || isPerVolume(b.unit)) return false;
  const [x, y] = [a, b].map(({ value, unit }) => declaredRange(value).mid * UNIT_FACTOR[unit]);
  return x !== undefined && y !== undefined && x > 0 && Math.abs(y / x - 1) < 0.02;
}

/** Whether a value is the one before it in another unit of mass, or by volume. */
export const saysAgain = (first: ValueInUnit, again: ValueInUnit): boolean =>
  first.unit !== again.unit && (sameShare(first, again) || isPerVolume(first.unit) !== isPerVolume(again.unit));

/** "10.0" is kept as 10: a whole number that is rounded more coarsely than this is taken to have had such a nought. */
const COARSE = 0.025;
/** What a printed value may have been before it was rounded, as a share or in kg/L. */
function beforeRounding(amount: ValueInUnit): Span {
  const { low, mid, high } = declaredRange(amount.value);
  const decimals = decimalsOf(amount);
  const half = decimals > 0 ? 0.5 * 10 ** -decimals : Math.min(0.5, COARSE * mid);
  return [Math.max(0, low - half) * UNIT_FACTOR[amount.unit], (high + half) * UNIT_FACTOR[amount.unit]];
}
function ratio(above: ValueInUnit, below: ValueInUnit): Span {
  const [a, b] = [beforeRounding(above), beforeRounding(below)];
  return [a[0] / b[1], b[0] > 0 ? a[1] / b[0] : Infinity];
}
/** What several spans have in common; undefined where they have nothing. */
function common(spans: readonly Span[]): Span | undefined {
  const [low, high] = [Math.max(...spans.map((s) => s[0])), Math.min(...spans.map((s) => s[1]))];
  return low <= high ? [low, high] : undefined;
}
const middle = ([low, high]: Span): number => (low + high) / 2;
/** Whether a value lies in a span, with a little room for what was rounded on the way. */
const inside = (value: number, [low, high]: Span, room = 0.02): boolean =>
  value >= low * (1 - room) && value <= high * (1 + room);

const warning = (code: string, message: string): Finding => ({ code, severity: 'warning', path: 'label', message });
const note = (code: string, message: string): Finding => ({ code, severity: 'note', path: 'label', message });

/** As is ÷ dry of a line that has a column of each. */
function wetOf({ line: { number }, read }: ReadLine, { besideDry }: Context): Span | undefined {
  const [figure, another] = read.figures ?? [];
  const dry = besideDry.get(number);
  const alike = figure && !another && dry?.unit === figure.unit;
  return alike && declaredRange(dry.value).mid > 0 && figure.value.kind !== 'below' ? ratio(figure, dry) : undefined;
}

/** kg CaCO₃ that neutralise as much as a kg of each as its oxide or carbonate: 100.09 ÷ 40.08 and 100.09 ÷ 24.31. */
const NEUTRALISED_BY: Readonly<Partial<Record<string, number>>> = { Ca: 2.497, Mg: 4.118 };
/** CaCO₃ for CaO: 100.09 ÷ 56.08. */
const AS_OXIDE = 1.785;
/** How far a liming effect may be from what calcium and magnesium make. */
const LIMING_ROOM = 0.25;
/**
 * The liming effect of a label in kg CaCO₃ per 100 kg. A bare "neutralising value" is per cent CaCO₃ in some countries and per cent CaO in others:
 * calcium and magnesium tell which, and where they do not, that is said.
 */
export function limingFrom(lines: readonly ReadLine[], figures: readonly AnalysisFigure[]): Agreed {
  const read = lines.map((line) => line.read).find((r) => r.liming !== undefined);
  const told = read?.liming;
  if (told === undefined || !read?.limingBare) return { value: told, findings: [] };
  const made = figures.reduce((sum, { analyte, basis, value, unit }) => {
    const per = NEUTRALISED_BY[analyte];
    return per === undefined || isPerVolume(unit)
      ? sum
      : sum + (declaredRange(value).mid * UNIT_FACTOR[unit] * 100 * per) / compoundPerElement(basis);
  }, 0);
  const asOxide = Number((told * AS_OXIDE).toPrecision(3));
  const off = (value: number): number => Math.abs(value / made - 1);
  const nearest = off(asOxide) < off(told) ? asOxide : told;
  if (made > 0 && off(nearest) < LIMING_ROOM) {
    const says = `A neutralising value of ${formatGiven(told)} fits the calcium and the magnesium as per cent ${nearest === told ? 'CaCO₃' : 'CaO'}.`;
    return { value: nearest, findings: nearest === told ? [] : [note('liming.basis', says)] };
  }
  const asks = `The neutralising value ${formatGiven(told)} does not say whether it is per cent CaCO₃ or per cent CaO; it was taken as CaCO₃. Write “${formatGiven(told)} % CaO” if that is meant.`;
  return { value: told, findings: told > MOST_AS_OXIDE ? [] : [warning('liming.basis', asks)] };
}
/** No material has more than burnt magnesia, as CaO; beyond this only CaCO₃ is likely. */
const MOST_AS_OXIDE = 65;

/** What the lines of a paper agree on, or was told, with what is to be said of it. */
export interface Agreed {
  readonly value: number | undefined;
  readonly findings: readonly Finding[];
}

/** A moisture that lines agree on no closer than this is not worked out. */
const CLOSE = 0.04;
/** What the columns as received and on dry matter say of the moisture: as-is = dry × (1 − moisture). */
export function moistureFrom(lines: readonly ReadLine[], context: Context): Agreed {
  const told = lines.flatMap((line) => {
    const wet = wetOf(line, context);
    return wet ? [{ number: line.line.number, wet }] : [];
  });
  const { moisture } = context;
  if (moisture !== undefined) {
    const off = told.filter(({ wet }) => !inside(1 - moisture, wet));
    const findings = off
      .slice(0, 3)
      .map(({ number, wet }) =>
        warning(
          'label.dryDiffers',
          `In line ${number} what was received is ${formatTrimmed(middle(wet) * 100)} % of what is on dry matter, but with ${formatGiven(moisture * 100)} % moisture it would be ${formatGiven((1 - moisture) * 100)} %.`,
        ),
      );
    return { value: moisture, findings };
  }
  const agreed = told.length > 1 ? common(told.map((t) => t.wet)) : undefined;
  if (!agreed || agreed[1] - agreed[0] > CLOSE || middle(agreed) >= 1) return { value: undefined, findings: [] };
  const worked = Number((1 - middle(agreed)).toPrecision(2));
  return {
    value: worked,
    findings: [
      note('label.moisture', `The two columns, as received and dry, agree on ${formatGiven(worked * 100)} % moisture.`),
    ],
  };
}

/** Whether a reading of a line's value is not what its column on dry matter makes of it. */
export const againstDry = (number: number, figure: ValueInUnit, { besideDry, moisture }: Context): boolean => {
  const dry = besideDry.get(number);
  return dry?.unit === figure.unit && moisture !== undefined && !inside(1 - moisture, ratio(figure, dry));
};

/** Whether a reading does not go into what the water leaves. */
export const overflows = ({ value, unit }: ValueInUnit, { moisture = 0 }: Context): boolean =>
  !isPerVolume(unit) && declaredRange(value).mid * UNIT_FACTOR[unit] + moisture > 1;

/** Of two values of one thing, which is the other times (1 − moisture): that is what was received. */
export function receivedOf(
  first: ValueInUnit,
  second: ValueInUnit,
  moisture: number | undefined,
): ValueInUnit | undefined {
  if (moisture === undefined || moisture <= 0 || first.unit !== second.unit) return undefined;
  const [received, dry] =
    declaredRange(first.value).mid < declaredRange(second.value).mid ? [first, second] : [second, first];
  return inside(1 - moisture, ratio(received, dry), 0.005) ? received : undefined;
}

/** Densities that a liquid or a granulate can have, kg/L. */
const DENSITIES: Span = [0.2, 2.5];
/** A density that is known no closer than this is not worked out. */
const CLOSE_DENSITY = 0.06;

/** What is told both by mass and by volume, the volume first. */
function bothWays(
  lines: readonly ReadLine[],
  { again, subjects }: Context,
): readonly (readonly [ValueInUnit, ValueInUnit])[] {
  const figures = lines.flatMap(({ read }) => read.figures ?? []);
  const alike = (a: AnalysisFigure, b: AnalysisFigure): boolean =>
    a.analyte === b.analyte && a.basis === b.basis && subjects.get(a)?.share === subjects.get(b)?.share;
  const beside = figures.flatMap((a, i) => figures.slice(i + 1).flatMap((b) => (alike(a, b) ? [[a, b] as const] : [])));
  return [...beside, ...again].flatMap(([a, b]) => {
    const numbers = a.value.kind === 'number' && b.value.kind === 'number' && a.value.value > 0 && b.value.value > 0;
    if (!numbers || isPerVolume(a.unit) === isPerVolume(b.unit)) return [];
    return [isPerVolume(a.unit) ? ([a, b] as const) : ([b, a] as const)];
  });
}

/** What is told both by mass and by volume tells the density, kg/L: g/L ÷ (10 × %). @param told the density that the paper names */
export function densityFrom(lines: readonly ReadLine[], context: Context, told: number | undefined): Agreed {
  const sides = bothWays(lines, context);
  if (sides.length === 0) return { value: told, findings: [] };
  const off = (words: string): Agreed => ({ value: told, findings: [warning('density.differs', words)] });
  const agreed = common(sides.map(([volume, mass]) => ratio(volume, mass)));
  if (!agreed) return off('What is told by mass and by volume makes another density on each line: one of them is off.');
  const density = Number(middle(agreed).toPrecision(3));
  const shown = `What is told by mass and by volume makes ${formatGiven(density)} kg/L`;
  if (told !== undefined && !inside(told, agreed))
    return off(`${shown}, but the density says ${formatGiven(told)} kg/L.`);
  if (told === undefined && !inside(density, DENSITIES, 0))
    return off(`${shown}, which no bag or bottle has: one of them is off.`);
  if (told !== undefined || agreed[1] - agreed[0] > CLOSE_DENSITY * density) return { value: told, findings: [] };
  return { value: density, findings: [note('density.worked', `${shown}: that is taken as the density.`)] };
}
