import { cropOf, type AnalysisFigure, type Claim, type DeclaredValue, type Product, type Site } from '@wheat-ledger/core';
import type { ClaimInput } from './claim.js';
import type { PlotInput, TemperatureInput } from './plot.js';
import type { DeclaredValueInput, ProductInput } from './product.js';

function toValue(input: DeclaredValueInput): DeclaredValue {
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
