import {
  parseAdvice,
  type AnalysisFigure,
  type DailyLog,
  type DeclaredValue,
  type Direction,
  type DosedPlot,
  type Handling,
  type JarReadings,
  type OwnFigure,
  type Product,
  type Shape,
  type Site,
  type SoilReport,
  type StockMovement,
  type TemperatureRecord,
} from '@wheat-ledger/core';
import type { JarTestInput } from './jarTest.js';
import type { LoggerInput } from './logger.js';
import type { MovementInput } from './movement.js';
import type { OwnFigureInput } from './ownFigure.js';
import type { PlotInput, ShapeInput, TemperatureInput } from './plot.js';
import type { SoilReportInput } from './soil.js';
import type { DeclaredValueInput, DirectionInput, ProductInput } from './product.js';

/** A declared value as the core reads it. */
export function toValue(input: DeclaredValueInput): DeclaredValue {
  switch (input.kind) {
    case 'number':
      return { kind: 'number', value: input.value ?? 0 };
    case 'range':
      return { kind: 'range', low: input.low ?? 0, mid: input.mid ?? 0, high: input.high ?? 0 };
    case 'below':
      return { kind: 'below', limit: input.limit ?? 0 };
  }
}

/** A rate of the directions as the core works with it. */
export const toDirection = (input: DirectionInput): Direction => ({
  ...input,
  least: input.least ?? undefined,
  perYear: input.perYear ?? undefined,
});

const toOwnFigure = ({ key, low, mid, high, source }: OwnFigureInput): OwnFigure => ({
  key,
  value: { low, mid, high },
  source,
});

/** What was said of its handling; nothing where nothing was. */
function handlingOf({ ease, hoursPer100Kg, haulagePer100Kg, distanceKm }: ProductInput): Handling | undefined {
  const said = Object.entries({ ease, hoursPer100Kg, haulagePer100Kg, distanceKm }).filter(([, v]) => v !== undefined);
  return said.length > 0 ? Object.fromEntries(said) : undefined;
}

/** A product as the core computes with it. */
export const toProduct = (input: ProductInput, id = ''): Product => ({
  id,
  name: input.name,
  seller: input.seller || undefined,
  form: input.form,
  densityKgPerL: input.densityKgPerL ?? undefined,
  grade: input.grade ? input.grade : undefined,
  analysis: input.analysis.map((line): AnalysisFigure => ({
    ...line,
    value: toValue(line.value),
    extract: line.extract ?? undefined,
  })),
  derivedFrom: input.derivedFrom,
  offers: input.offers.map((o) => ({
    size: o.size,
    unit: o.unit,
    price: o.price ?? undefined,
    seenOn: o.seenOn ?? undefined,
    seller: o.seller ?? undefined,
  })),
  directions: (input.directions ?? []).map(toDirection),
  longevity: input.longevity ?? undefined,
  carbonToNitrogen: input.carbonToNitrogen ?? undefined,
  saltIndex: input.saltIndex ?? undefined,
  handling: handlingOf(input),
  scoop: input.scoopG ? { grams: input.scoopG, name: input.scoopName ?? '' } : undefined,
  organic: input.organic?.status,
  origins: input.origins ?? undefined,
  processing: input.processing ?? undefined,
  limingPer100Kg: input.limingPer100Kg ?? undefined,
  incubation: input.incubation ?? undefined,
  ownFigures: input.ownFigures?.map(toOwnFigure),
});

const toTemperature = (t: TemperatureInput): TemperatureRecord =>
  t.kind === 'monthly'
    ? { kind: 'monthly', meansC: t.meansC ?? [] }
    : { kind: 'sine', meanC: t.meanC ?? 0, amplitudeC: t.amplitudeC ?? 0, warmestDay: t.warmestDay ?? 0 };

/** The readings of a jar test, by step. */
export const toJarReadings = ({ readings }: Pick<JarTestInput, 'readings'>): JarReadings =>
  Object.fromEntries(readings.map((r) => [r.step, r.value]));

/** A log as the core reads it. */
export const toLog = ({ from, series }: LoggerInput): DailyLog => ({ from, series });

/** A plot as far as doses need it. */
export const toDosedPlot = ({ areaM2, shape }: PlotInput): DosedPlot => ({
  areaM2,
  shape: shape ? toShape(shape) : undefined,
});

/** A plot as the core computes with it, with what loggers measured there. */
export const toSite = (plot: PlotInput, loggers: readonly LoggerInput[] = []): Site => ({
  areaM2: plot.areaM2,
  medium: plot.medium,
  texture: plot.texture,
  pH: plot.pH ?? undefined,
  temperature: toTemperature(plot.temperature),
  climate: plot.climate ?? undefined,
  ownFigures: plot.ownFigures?.map(toOwnFigure),
  logged: loggers.map(toLog),
});

/** A soil report as the core reads it. */
/** A stock movement as the core computes with it. */
export const toMovement = ({ amount, unit, reason, on, lot }: MovementInput): StockMovement => ({
  amount,
  unit,
  reason,
  on,
  lot,
});

export function toSoilReport({ sampledOn, depthM, figures, advice }: SoilReportInput): SoilReport {
  const read = parseAdvice(advice ?? '');
  return {
    sampledOn,
    depthM,
    figures: figures.map((f) => ({ ...f, value: toValue(f.value) })),
    advice: read.ok && Object.keys(read.advice).length > 0 ? read.advice : undefined,
  };
}

interface ShapeLengths {
  readonly lengths: readonly string[];
  readonly counted?: string;
  readonly holds?: string;
}

/** The lengths a polygon of so many sides is measured by: its sides in order, then the diagonals from its first corner. */
export const polygonLengths = (sides: number): readonly string[] => [
  ...Array.from({ length: sides }, (_, i) => `side ${i + 1}`),
  ...Array.from({ length: sides - 3 }, (_, i) => `first corner to corner ${i + 3}`),
];

/** How many lengths each kind of shape is measured by, and whether it is counted; a polygon has as many as its sides ask for. */
export const SHAPE_LENGTHS: Readonly<Record<Shape['kind'], ShapeLengths>> = {
  polygon: { lengths: polygonLengths(4) },
  containers: { lengths: ['across the opening'], counted: 'containers', holds: 'one holds' },
  rectangle: { lengths: ['length', 'width'] },
  circle: { lengths: ['across'] },
  ring: { lengths: ['inner edge from the middle', 'outer edge from the middle'] },
  triangle: { lengths: ['side 1', 'side 2', 'side 3'] },
  beds: { lengths: ['length of a bed', 'width of a bed'], counted: 'beds' },
  rows: { lengths: ['length of a row', 'from row to row'], counted: 'rows' },
};

/** A shape as the core works out its area; lengths that were not given are zero, which the core refuses in words. */
export function toShape({ kind, lengthsM, count = 0, litres = 0, inward, outline }: ShapeInput): Shape {
  const [a = 0, b = 0, c = 0] = lengthsM;
  switch (kind) {
    case 'rectangle':
      return { kind, lengthM: a, widthM: b };
    case 'circle':
      return { kind, acrossM: a };
    case 'ring':
      return { kind, innerM: a, outerM: b };
    case 'triangle':
      return { kind, sidesM: [a, b, c] };
    case 'polygon': {
      const sides = Math.floor((lengthsM.length + 3) / 2);
      return { kind, sidesM: lengthsM.slice(0, sides), diagonalsM: lengthsM.slice(sides), inward, outline };
    }
    case 'containers':
      return { kind, acrossM: a, litres, count };
    case 'beds':
      return { kind, lengthM: a, widthM: b, count };
    case 'rows':
      return { kind, lengthM: a, spacingM: b, count };
  }
}
