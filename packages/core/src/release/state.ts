/** An organic material in the soil: its carbon in a fast and a slow pool, kg per ha. */
export interface OrganicPool {
  fastC: number;
  slowC: number;
  readonly carbonToNitrogen: number;
  readonly kFastPerDay: number;
  readonly kSlowPerDay: number;
}

/** Shares of a coated nitrogen by what comes out of it; they add to 1. */
export interface CoatedForms {
  readonly urea: number;
  readonly ammonium: number;
  readonly nitrate: number;
}

/** Nitrogen that comes free on a curve of its own, first order. */
export interface MeasuredPool {
  /** What will come, and what never does. */
  coming: number;
  never: number;
  readonly curve: MeasuredCurve;
}
export interface MeasuredCurve {
  /** Rate in the jar, and how warm and how full of life it was there. */
  readonly kPerDay: number;
  readonly temperatureC: number;
  readonly biology: number;
}

export interface CoatedPool {
  /** What was applied. */
  readonly applied: number;
  readonly forms: CoatedForms;
  readonly longevity: { readonly days: number; readonly referenceC: number };
  /** Days at the reference temperature so far. */
  thermalDays: number;
  released: number;
  onSurface: boolean;
}

/**
 * The nitrogen of one layer of soil, all in one unit (kg N/ha, or shares of one dose). `step` moves it on, `add` puts a dose in:
 * several doses share the decomposers, the debt and the leaching.
 */
export interface NitrogenState {
  /** Nitrate in cells of about 5 cm, from the top down. */
  readonly nitrate: Float64Array;
  /** Cells from the top into which what turns to nitrate goes: as deep as the last dose was worked in. */
  mixedCells: number;
  ammonium: number;
  /** Ammonium that would go off as ammonia if it stayed on the surface. */
  exposedAmmonium: number;
  urea: number;
  surfaceUrea: number;
  readonly coated: CoatedPool[];
  readonly organic: OrganicPool[];
  readonly measured: MeasuredPool[];
  /** Nitrogen in the soil's own organic matter that may come free, and its rate at 25 °C. */
  soilOrganic: number;
  readonly soilPerDay: number;
  microbialC: number;
  humus: number;
  /** Mineral nitrogen the soil has of its own to lend to decomposers, and what they have of it. */
  readonly lendable: number;
  lent: number;
  volatilised: number;
  leached: number;
  denitrified: number;
  takenUp: number;
}

/** What the soil itself has as the season begins. */
export interface SoilStart {
  /** Nitrate and ammonium in the layer. */
  readonly mineralKgPerHa: number;
  /** Nitrogen in its organic matter. */
  readonly organicKgPerHa: number;
  /** First-order rate of that at 25 °C in moist soil. */
  readonly perDay: number;
}

export const CELL_M = 0.05;

/** A layer with none of the nitrogen followed in it. @param depthM its depth; @param lendable mineral nitrogen of its own */
export const emptyLayer = (depthM: number, lendable: number, soil?: SoilStart): NitrogenState => ({
  nitrate: new Float64Array(Math.max(1, Math.round(depthM / CELL_M))),
  mixedCells: 1,
  ammonium: 0,
  exposedAmmonium: 0,
  urea: 0,
  surfaceUrea: 0,
  coated: [],
  organic: [],
  measured: [],
  soilOrganic: soil?.organicKgPerHa ?? 0,
  soilPerDay: soil?.perDay ?? 0,
  microbialC: 0,
  humus: 0,
  lendable,
  lent: 0,
  volatilised: 0,
  leached: 0,
  denitrified: 0,
  takenUp: 0,
});

/** One dose as it goes into a layer, in the layer's unit. */
export interface Dose {
  readonly nitrate: number;
  readonly ammonium: number;
  readonly urea: number;
  readonly coated: number;
  readonly coatedForms: CoatedForms;
  readonly longevity: { readonly days: number; readonly referenceC: number } | undefined;
  readonly organic: readonly {
    readonly nitrogen: number;
    readonly fastShare: number;
    readonly kFastPerDay: number;
    readonly kSlowPerDay: number;
    readonly carbonToNitrogen: number;
  }[];
  /** Nitrogen on the bag's own curve, and the share of it that comes at all. */
  readonly measured?: { readonly nitrogen: number; readonly share: number; readonly curve: MeasuredCurve } | undefined;
  /** Share of its ammonium that would go off as ammonia on the surface. */
  readonly volatileAmmonium: number;
  /** Left on the surface, or worked in so deep. */
  readonly workedInM: number | 'surface';
}

/** Puts nitrate into the cells from the top, as deep as is mixed. A negative amount is taken from all cells alike. */
export function putNitrate(state: NitrogenState, amount: number): void {
  const { nitrate, mixedCells } = state;
  if (amount < 0) {
    const held = nitrateIn(state);
    const left = held > 0 ? Math.max(0, 1 + amount / held) : 0;
    for (let i = 0; i < nitrate.length; i++) nitrate[i] = (nitrate[i] ?? 0) * left;
    return;
  }
  const cells = Math.min(mixedCells, nitrate.length);
  for (let i = 0; i < cells; i++) nitrate[i] = (nitrate[i] ?? 0) + amount / cells;
}

export const nitrateIn = (state: NitrogenState): number => {
  let held = 0;
  for (const cell of state.nitrate) held += cell;
  return held;
};

/** Adds a dose to a layer. Changes the layer in place. */
export function add(state: NitrogenState, dose: Dose): void {
  const onSurface = dose.workedInM === 'surface';
  const cells = dose.workedInM === 'surface' ? 1 : Math.max(1, Math.round(dose.workedInM / CELL_M));
  state.mixedCells = Math.max(state.mixedCells, cells);
  putNitrate(state, dose.nitrate);
  const exposed = onSurface ? dose.ammonium * dose.volatileAmmonium : 0;
  state.exposedAmmonium += exposed;
  state.ammonium += dose.ammonium - exposed;
  if (onSurface) state.surfaceUrea += dose.urea;
  else state.urea += dose.urea;
  if (dose.coated > 0) {
    if (!dose.longevity) throw new RangeError('Coated nitrogen needs a rated longevity.');
    state.coated.push({
      applied: dose.coated,
      forms: dose.coatedForms,
      longevity: dose.longevity,
      thermalDays: 0,
      released: 0,
      onSurface,
    });
  }
  if (dose.measured) {
    const { nitrogen, share, curve } = dose.measured;
    state.measured.push({ coming: nitrogen * share, never: nitrogen * (1 - share), curve });
  }
  for (const { nitrogen, fastShare, carbonToNitrogen, kFastPerDay, kSlowPerDay } of dose.organic) {
    if (nitrogen <= 0) continue;
    const carbon = nitrogen * carbonToNitrogen;
    const slowC = carbon * (1 - fastShare);
    // The same material is one pool however often it is given: what is alike decomposes alike.
    const alike = state.organic.find(
      (o) => o.carbonToNitrogen === carbonToNitrogen && o.kFastPerDay === kFastPerDay && o.kSlowPerDay === kSlowPerDay,
    );
    if (alike) {
      alike.fastC += carbon - slowC;
      alike.slowC += slowC;
    } else state.organic.push({ fastC: carbon - slowC, slowC, carbonToNitrogen, kFastPerDay, kSlowPerDay });
  }
}

/** What lies on the surface goes into the soil: by the first 12 mm of water, or worked in. Changes the layer in place. */
export function settle(state: NitrogenState): void {
  state.urea += state.surfaceUrea;
  state.surfaceUrea = 0;
  state.ammonium += state.exposedAmmonium;
  state.exposedAmmonium = 0;
  for (const coating of state.coated) coating.onSurface = false;
}
