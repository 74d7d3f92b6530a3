import {
  given,
  MOST_LENGTHS,
  polygonLengths,
  Reader,
  SHAPE_LENGTHS,
  toShape,
  whenTyped,
  type ClimateInput,
  type IrrigationWaterInput,
  type LimitInput,
  type OwnFigureInput,
  type PlotInput,
  type ReadText,
  type ShapeInput,
  type TemperatureInput,
} from '@wheat-ledger/contract';
import {
  DomainError,
  plotArea,
  SHAPES,
  SUPPOSED_YEAR,
  typedNumber,
  type Medium,
  type ShapeKind,
  type Texture,
} from '@wheat-ledger/core';

/** A plot as a person types it. */
export interface PlotText {
  name: string;
  area: string;
  /** '' when the area is typed outright. */
  shape: string;
  lengths: string[];
  sides: string;
  count: string;
  litres: string;
  /** Corners that turn in, counted from 0. */
  inward: number[];
  /** Which of several outlines with the same lengths and corners. */
  outline: number;
  medium: string;
  texture: string;
  pH: string;
  kind: string;
  meansC: string[];
  meanC: string;
  amplitudeC: string;
  warmestDay: string;
  rainMm: string[];
  irrigationMm: string[];
  etMm: string[];
  water: Record<WaterField, string>;
  /** Kept as they are: they are changed where they are used. */
  ownFigures?: OwnFigureInput[];
  /** Kept as they are: they are changed in the book. */
  limits?: LimitInput[];
}
export type WaterField = keyof IrrigationWaterInput;
export const WATER_FIELDS: Readonly<Record<WaterField, string>> = {
  ecMsPerCm: 'EC, dissolved salts, mS/cm',
  sodiumMgPerL: 'Sodium, mg/L',
  calciumMgPerL: 'Calcium, mg/L',
  magnesiumMgPerL: 'Magnesium, mg/L',
  alkalinityMgPerL: 'Alkalinity, mg/L CaCO₃',
  nitrateNMgPerL: 'Nitrate N, mg/L',
};
const WATER_KEYS = Object.keys(WATER_FIELDS) as WaterField[];

export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

export const blankPlot = (): PlotText => ({
  name: '',
  area: '',
  shape: '',
  lengths: Array.from({ length: MOST_LENGTHS }, () => ''),
  sides: '4',
  count: '',
  litres: '',
  inward: [],
  outline: 0,
  medium: 'mineralSoil',
  texture: 'loam',
  pH: '',
  kind: 'sine',
  meansC: MONTHS.map(() => ''),
  meanC: String(SUPPOSED_YEAR.meanC),
  amplitudeC: String(SUPPOSED_YEAR.amplitudeC),
  warmestDay: String(SUPPOSED_YEAR.warmestDay),
  rainMm: MONTHS.map(() => ''),
  irrigationMm: MONTHS.map(() => ''),
  etMm: MONTHS.map(() => ''),
  water: {
    ecMsPerCm: '',
    sodiumMgPerL: '',
    calciumMgPerL: '',
    magnesiumMgPerL: '',
    alkalinityMgPerL: '',
    nitrateNMgPerL: '',
  },
});

export const plotText = (p: PlotInput): PlotText => ({
  ...blankPlot(),
  name: p.name,
  area: `${typedNumber(p.areaM2)} m²`,
  medium: p.medium,
  texture: p.texture,
  pH: typedNumber(p.pH),
  ...(p.shape
    ? {
        shape: p.shape.kind,
        lengths: Array.from({ length: MOST_LENGTHS }, (_, i) =>
          p.shape?.lengthsM[i] === undefined ? '' : `${typedNumber(p.shape.lengthsM[i] ?? 0)} m`,
        ),
        sides: String(p.shape.kind === 'polygon' ? (p.shape.lengthsM.length + 3) / 2 : 4),
        litres: p.shape.litres === undefined ? '' : `${typedNumber(p.shape.litres)} L`,
        count: typedNumber(p.shape.count),
        inward: [...(p.shape.inward ?? [])],
        outline: p.shape.outline ?? 0,
      }
    : {}),
  ...(p.climate
    ? {
        rainMm: p.climate.rainMm.map((v) => typedNumber(v)),
        irrigationMm: p.climate.irrigationMm.map((v) => typedNumber(v)),
        etMm: p.climate.etMm.map((v) => typedNumber(v)),
      }
    : {}),
  water: Object.fromEntries(WATER_KEYS.map((key) => [key, typedNumber(p.water?.[key])])) as Record<WaterField, string>,
  ...given('ownFigures', p.ownFigures),
  ...given('limits', p.limits),
  kind: p.temperature.kind,
  ...(p.temperature.kind === 'monthly'
    ? { meansC: (p.temperature.meansC ?? []).map((v) => typedNumber(v)) }
    : {
        meanC: typedNumber(p.temperature.meanC),
        amplitudeC: typedNumber(p.temperature.amplitudeC),
        warmestDay: typedNumber(p.temperature.warmestDay),
      }),
});

/** The shape as typed, with as many lengths as its kind has; undefined when the area is typed outright. */
function readShape(
  read: Reader,
  { shape: kind, lengths: typed, sides, count, litres, inward, outline }: PlotText,
): ShapeInput | undefined {
  if (!isShape(kind)) return undefined;
  const { lengths, counted, holds } = SHAPE_LENGTHS[kind];
  const names = kind === 'polygon' ? polygonLengths(Number(sides)) : lengths;
  return {
    kind,
    lengthsM: names.map((_, i) => read.canonical(`lengths.${i}`, typed[i] ?? '', 'length', 'm') ?? 0),
    ...given('count', counted === undefined ? undefined : (read.number('count', count) ?? 0)),
    ...given('litres', holds === undefined ? undefined : (read.canonical('litres', litres, 'volume', 'L') ?? 0)),
    ...given('inward', kind === 'polygon' && inward.length > 0 ? inward.filter((i) => i < Number(sides)) : undefined),
    ...given('outline', kind === 'polygon' && outline > 0 ? outline : undefined),
  };
}
const isShape = (kind: string): kind is ShapeKind => (SHAPES as readonly string[]).includes(kind);

/** The area of a shape, or 1 with the reason kept when it cannot be. */
function areaOf(read: Reader, shape: ShapeInput): number {
  if (read.problems.length > 0) return 1;
  try {
    return Number(plotArea(toShape(shape)).value.mid.toPrecision(9));
  } catch (error) {
    if (!(error instanceof DomainError)) throw error;
    read.problems.push({ path: 'lengths.0', message: error.message });
    return 1;
  }
}

/** Twelve months of rain, irrigation and evapotranspiration; nothing when none is typed. Months without irrigation may stay blank, the others not. */
function readClimate(read: Reader, text: PlotText): ClimateInput | undefined {
  const rows = ['rainMm', 'irrigationMm', 'etMm'] as const;
  if (rows.every((row) => text[row].every((m) => m.trim() === ''))) return undefined;
  const months = (row: (typeof rows)[number]): number[] =>
    text[row].map((m, i) => (row === 'irrigationMm' && m.trim() === '' ? 0 : (read.number(`${row}.${i}`, m) ?? 0)));
  return { rainMm: months('rainMm'), irrigationMm: months('irrigationMm'), etMm: months('etMm') };
}

function readWater(read: Reader, { water }: PlotText): IrrigationWaterInput | undefined {
  const found = WATER_KEYS.flatMap((key) => {
    const value = whenTyped(water[key], () => read.number(`water.${key}`, water[key]));
    return value === undefined ? [] : [[key, value] as const];
  });
  return found.length === 0 ? undefined : Object.fromEntries(found);
}

export function readPlot(text: PlotText): ReadText & { readonly plain: PlotInput } {
  const read = new Reader();
  const number = (path: string, typed: string): number => read.number(path, typed) ?? 0;
  const shape = readShape(read, text);
  const temperature: TemperatureInput =
    text.kind === 'monthly'
      ? { kind: 'monthly', meansC: text.meansC.map((m, i) => number(`meansC.${i}`, m)) }
      : {
          kind: 'sine',
          meanC: number('meanC', text.meanC),
          amplitudeC: number('amplitudeC', text.amplitudeC),
          warmestDay: number('warmestDay', text.warmestDay),
        };
  const plain: PlotInput = {
    name: text.name.trim(),
    areaM2: shape ? areaOf(read, shape) : (read.canonical('area', text.area, 'area', 'm²') ?? 1),
    medium: text.medium as Medium,
    texture: text.texture as Texture,
    ...given(
      'pH',
      whenTyped(text.pH, () => number('pH', text.pH)),
    ),
    temperature,
    ...given('shape', shape),
    ...given('climate', readClimate(read, text)),
    ...given('water', readWater(read, text)),
    ...given('ownFigures', text.ownFigures),
    ...given('limits', text.limits),
  };
  return { plain, problems: read.problems };
}
