import { cropOf, type AnalysisFigure, type Claim, type DeclaredValue, type Product, type Shape, type Site, type SoilReport } from '@wheat-ledger/core';
import type { ClaimInput } from './claim.js';
import type { PlotInput, ShapeInput, TemperatureInput } from './plot.js';
import type { SoilReportInput } from './soil.js';
import type { DeclaredValueInput, ProductInput } from './product.js';

/** A declared value as the core reads it. */
export function toValue(input: DeclaredValueInput): DeclaredValue {
  switch (input.kind) {
    case 'number': return { kind: 'number', value: input.value ?? 0 };
    case 'range': return { kind: 'range', low: input.low ?? 0, mid: input.mid ?? 0, high: input.high ?? 0 };
    case 'below': return { kind: 'below', limit: input.limit ?? 0 };
  }
}

/** A product as the core computes with it. */
export const toProduct = (input: ProductInput, id = ''): Product => ({
  id,
  name: input.name,
  form: input.form,
  densityKgPerL: input.densityKgPerL ?? undefined,
  grade: input.grade ? input.grade : undefined,
  analysis: input.analysis.map((line): AnalysisFigure => ({ ...line, value: toValue(line.value) })),
  derivedFrom: input.derivedFrom,
  offers: input.offers.map((o) => ({ size: o.size, unit: o.unit, price: o.price ?? undefined, seenOn: o.seenOn ?? undefined })),
  labelRate: input.labelRate ?? undefined,
  longevity: input.longevity ?? undefined,
  carbonToNitrogen: input.carbonToNitrogen ?? undefined,
});

const toTemperature = (t: TemperatureInput): Site['temperature'] =>
  t.kind === 'monthly'
    ? { kind: 'monthly', meansC: t.meansC ?? [] }
    : { kind: 'sine', meanC: t.meanC ?? 0, amplitudeC: t.amplitudeC ?? 0, warmestDay: t.warmestDay ?? 0 };

/** A plot as the core computes with it. */
export const toSite = (plot: PlotInput): Site => ({
  areaM2: plot.areaM2,
  crop: plot.crop,
  medium: plot.medium,
  texture: plot.texture,
  pH: plot.pH ?? undefined,
  temperature: toTemperature(plot.temperature),
  plantedOn: plot.plantedOn,
});

/** A claim as the core judges it, with its product in full. */
export const toClaim = (input: Pick<ClaimInput, 'statement' | 'crop' | 'needs'>, product: Product): Claim => ({
  statement: input.statement,
  product,
  needs: input.needs,
  crop: cropOf(input.crop),
});

/** A soil report as the core reads it. */
export const toSoilReport = ({ sampledOn, depthM, figures }: SoilReportInput): SoilReport => ({ sampledOn, depthM, figures: figures.map((f) => ({ ...f, value: toValue(f.value) })) });

/** How many lengths each kind of shape is measured by, and whether it is counted. */
export const SHAPE_LENGTHS: Readonly<Record<Shape['kind'], { readonly lengths: readonly string[]; readonly counted?: string }>> = {
  rectangle: { lengths: ['length', 'width'] },
  circle: { lengths: ['across'] },
  ring: { lengths: ['inner edge from the middle', 'outer edge from the middle'] },
  triangle: { lengths: ['side 1', 'side 2', 'side 3'] },
  fourSides: { lengths: ['side 1', 'side 2', 'side 3', 'side 4', 'diagonal from the first corner to the third'] },
  beds: { lengths: ['length of a bed', 'width of a bed'], counted: 'beds' },
  rows: { lengths: ['length of a row', 'from row to row'], counted: 'rows' },
};

/** A shape as the core works out its area; lengths that were not given are zero, which the core refuses in words. */
export function toShape({ kind, lengthsM, count = 0 }: ShapeInput): Shape {
  const [a = 0, b = 0, c = 0, d = 0, e = 0] = lengthsM;
  switch (kind) {
    case 'rectangle': return { kind, lengthM: a, widthM: b };
    case 'circle': return { kind, acrossM: a };
    case 'ring': return { kind, innerM: a, outerM: b };
    case 'triangle': return { kind, sidesM: [a, b, c] };
    case 'fourSides': return { kind, sidesM: [a, b, c, d], diagonalM: e };
    case 'beds': return { kind, lengthM: a, widthM: b, count };
    case 'rows': return { kind, lengthM: a, spacingM: b, count };
  }
}
