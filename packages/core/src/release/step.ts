import { drainCells } from './cascade.js';
import { passedOn, passedOnTwice } from './exponentials.js';
import { coatedRelease, coatingResponse, moistureResponse, temperatureResponse } from './responses.js';
import { nitrateIn, putNitrate, settle, type NitrogenState } from './state.js';

/** The numbers of the laws, one run's. */
export interface Laws {
  readonly q10: number;
  readonly coatingQ10: number;
  readonly weibullShape: number;
  readonly nitrificationPerDay: number;
  readonly ureaHydrolysisPerDay: number;
  readonly denitrificationPerDay: number;
  /** C:N of a material above which nitrogen is tied up first. */
  readonly criticalCN: number;
  readonly microbialCN: number;
  readonly microbialDeathPerDay: number;
  readonly humified: number;
  /** Share of hydrolysed urea lost while it lies on the surface. */
  readonly volatileShare: number;
}

/** What a day is like in the layer. */
export interface Day {
  readonly temperatureC: number;
  /** 0 at wilting, 1 at field capacity, 2 at saturation. */
  readonly wetness: number;
  /** Share of the pores filled with water. */
  readonly waterFilled: number;
  /** Life in the medium relative to mineral soil. */
  readonly biology: number;
  /** Whether what lies on the surface goes into the soil as the day begins. */
  readonly settles: boolean;
  /** Water that drains through the layer at the day's end and what each of its cells holds, mm. */
  readonly drainedMm: number;
  readonly cellMm: number;
  /** What the crop takes up on this day if it can get it. */
  readonly uptake: number;
}

/** Ammonia goes off an exposed surface within days: first order at 25 °C, typical of the fast phase. */
export const AMMONIA_LOSS_PER_DAY = 0.3;
/** Above this share of filled pores nitrate is lost as gas. */
export const DENITRIFIES_ABOVE = 0.8;

/** Rates of one step, all per step. */
interface Rates {
  readonly hydrolysis: number;
  readonly nitrification: number;
  readonly death: number;
  /** Warmth, moisture and life times the length of the step. */
  readonly decomposition: number;
  readonly ammoniaLoss: number;
  readonly efficiency: number;
  readonly fromCoatings: {
    readonly urea: number;
    readonly surfaceUrea: number;
    readonly ammonium: number;
    readonly nitrate: number;
  };
}

/** What part of a step comes to, from the closed forms. `slow` holds back the materials that take nitrogen, 1 = not at all. */
interface Change {
  readonly urea: number;
  readonly surfaceUrea: number;
  readonly volatilised: number;
  readonly exposedAmmonium: number;
  readonly ammonium: number;
  readonly nitrified: number;
  readonly nitrateFromCoatings: number;
  readonly microbialC: number;
  readonly died: number;
  /** Ammonium and nitrate gained in all, less what decomposers took. */
  readonly gained: number;
}

const kept = (rate: number): number => Math.exp(-rate);

/** One pool that empties at a rate and is fed evenly: what is left of it after the step. */
const fed = (amount: number, feed: number, rate: number): number =>
  (amount > 0 ? amount * kept(rate) : 0) + (feed > 0 ? feed * passedOn(0, rate) : 0);

/** Ammonium at the end of the step from urea that lay there and urea that came in evenly. */
const fromUrea = (urea: number, feed: number, h: number, n: number): number =>
  (urea > 0 ? urea * h * passedOn(h, n) : 0) + (feed > 0 ? feed * h * passedOnTwice(0, h, n) : 0);

function change(state: NitrogenState, laws: Laws, rates: Rates, part: number, slow: number): Change {
  const h = rates.hydrolysis * part;
  const n = rates.nitrification * part;
  const b = rates.death * part;
  const efficiency = rates.efficiency;
  const recycled = (1 - laws.humified) / laws.microbialCN;
  const feedUrea = rates.fromCoatings.urea * part;
  const feedSurface = rates.fromCoatings.surfaceUrea * part;
  const feedAmmonium = rates.fromCoatings.ammonium * part;
  const keeps = 1 - laws.volatileShare;

  const urea = fed(state.urea, feedUrea, h);
  const surfaceUrea = fed(state.surfaceUrea, feedSurface, h);
  const hydrolysed = state.urea + feedUrea - urea;
  const hydrolysedOnTop = state.surfaceUrea + feedSurface - surfaceUrea;
  const exposedAmmonium = state.exposedAmmonium * kept(rates.ammoniaLoss * part);
  const volatilised = laws.volatileShare * hydrolysedOnTop + state.exposedAmmonium - exposedAmmonium;

  // Ammonium at the end of the step, by what it came from: each term is one way through the pools.
  let ammonium =
    state.ammonium * kept(n) +
    feedAmmonium * passedOn(0, n) +
    fromUrea(state.urea + keeps * state.surfaceUrea, feedUrea + keeps * feedSurface, h, n) +
    (state.microbialC > 0 ? state.microbialC * recycled * b * passedOn(b, n) : 0);
  let microbialC = state.microbialC * kept(b);
  let eatenC = 0;
  let freed = 0;
  for (const pool of state.organic) {
    const surplus = 1 / pool.carbonToNitrogen - efficiency / laws.microbialCN;
    const speed = rates.decomposition * part * (surplus < 0 ? slow : 1);
    for (let i = 0; i < 2; i++) {
      const carbon = i === 0 ? pool.fastC : pool.slowC;
      const k = speed * (i === 0 ? pool.kFastPerDay : pool.kSlowPerDay);
      if (carbon <= 0 || k === 0) continue;
      const eaten = -carbon * Math.expm1(-k);
      eatenC += eaten;
      freed += eaten * surplus;
      const grown = efficiency * k * carbon;
      microbialC += grown * passedOn(k, b);
      ammonium += k * carbon * surplus * passedOn(k, n) + grown * recycled * b * passedOnTwice(k, b, n);
    }
  }
  const died = state.microbialC + efficiency * eatenC - microbialC;
  const toAmmonium = hydrolysed + keeps * hydrolysedOnTop + feedAmmonium + freed + recycled * died;
  const nitrateFromCoatings = rates.fromCoatings.nitrate * part;
  return {
    urea,
    surfaceUrea,
    volatilised,
    exposedAmmonium,
    ammonium,
    nitrified: state.ammonium + toAmmonium - ammonium,
    nitrateFromCoatings,
    microbialC,
    died,
    gained: toAmmonium + nitrateFromCoatings,
  };
}

/** Mineral nitrogen within reach of decomposers: what is followed, and what the soil can still lend. */
const withinReach = (state: NitrogenState): number => state.ammonium + nitrateIn(state) + state.lendable - state.lent;

/** The crop takes ammonium and nitrate alike, as much as it wants of what there is. */
function takeUp(state: NitrogenState, wanted: number): void {
  const nitrate = nitrateIn(state);
  const mineral = state.ammonium + nitrate;
  const taken = Math.min(wanted, mineral);
  if (!(taken > 0)) return;
  const share = taken / mineral;
  state.ammonium *= 1 - share;
  putNitrate(state, -share * nitrate);
  state.takenUp += taken;
}

/** Sets ammonium and nitrate; what decomposers took beyond the one comes out of the other, then out of what the soil lends. */
function setMineral(state: NitrogenState, ammonium: number, nitrate: number): void {
  const owed = ammonium + nitrate < 0 ? -(ammonium + nitrate) : 0;
  state.lent += owed;
  state.ammonium = owed > 0 ? 0 : Math.max(0, ammonium + Math.min(0, nitrate));
  const target = owed > 0 ? 0 : Math.max(0, nitrate + Math.min(0, ammonium));
  putNitrate(state, target - nitrateIn(state));
}

/** Moves everything but uptake and water on by a part of the step. */
function advance(state: NitrogenState, laws: Laws, rates: Rates, to: Change, part: number, slow: number): void {
  for (const pool of state.organic) {
    const surplus = 1 / pool.carbonToNitrogen - rates.efficiency / laws.microbialCN;
    const speed = rates.decomposition * part * (surplus < 0 ? slow : 1);
    pool.fastC *= kept(speed * pool.kFastPerDay);
    pool.slowC *= kept(speed * pool.kSlowPerDay);
  }
  state.urea = to.urea;
  state.surfaceUrea = to.surfaceUrea;
  state.exposedAmmonium = to.exposedAmmonium;
  state.volatilised += to.volatilised;
  state.microbialC = to.microbialC;
  state.humus += (laws.humified * to.died) / laws.microbialCN;
  setMineral(state, to.ammonium, nitrateIn(state) + to.nitrified + to.nitrateFromCoatings);
  if (state.lent > 0) {
    // What they owe the soil is paid back before anything counts as available.
    const fromAmmonium = Math.min(state.lent, state.ammonium);
    state.ammonium -= fromAmmonium;
    const fromNitrate = Math.min(state.lent - fromAmmonium, nitrateIn(state));
    if (fromNitrate > 0) putNitrate(state, -fromNitrate);
    state.lent -= fromAmmonium + fromNitrate;
  }
}

/**
 * The largest x in 0–1 at which `margin` is not yet negative, when it is not at 0 and is at 1: by bisection, each cut made where a straight line
 * between the ends crosses zero (the Illinois rule), which needs far fewer cuts than halves.
 */
function lastThatHolds(margin: (x: number) => number): number {
  let [low, high] = [0, 1];
  let [atLow, atHigh] = [margin(0), margin(1)];
  for (let i = 0; i < 60 && high - low > 1e-13; i++) {
    const cut = i % 8 === 7 ? (low + high) / 2 : low + ((high - low) * atLow) / (atLow - atHigh);
    const x = Math.min(high, Math.max(low, cut));
    const at = margin(x);
    if (at >= 0) {
      if (at < 1e-15 || x === low) return x;
      [low, atLow] = [x, at];
      atHigh /= 2;
    } else {
      if (x === high) return low;
      [high, atHigh] = [x, at];
      atLow /= 2;
    }
  }
  return low;
}

/**
 * Moves a layer on by one step in closed form: urea, ammonium and nitrate, coatings, decomposition and decomposers each by the exact
 * solution of the first-order laws at the day's constant rates (Stanford & Smith 1972; Manzoni & Porporato 2009 for the decomposers'
 * stoichiometry). Where mineral nitrogen runs out, the moment is found by bisection; from there on materials poor in nitrogen decompose
 * only as fast as nitrogen comes in. Loss as gas and drainage follow at the step's end, half of
 * the crop's uptake before them and half after.
 *
 * Law: what is in the layer, lost and taken up adds up to what was added, to rounding.
 * @param state changed in place
 * @param lengthDays length of the step; halving it moves a season's totals by less than 0.5 %
 */
export function step(state: NitrogenState, day: Day, laws: Laws, lengthDays = 1): void {
  if (day.settles) settle(state);
  const warmth = temperatureResponse(day.temperatureC, laws.q10) * moistureResponse(day.wetness) * lengthDays;
  const fromCoatings = { urea: 0, surfaceUrea: 0, ammonium: 0, nitrate: 0 };
  for (const coating of state.coated) {
    const { days, referenceC } = coating.longevity;
    coating.thermalDays += coatingResponse(day.temperatureC, laws.coatingQ10, referenceC) * lengthDays;
    const released = coating.applied * coatedRelease(coating.thermalDays, days, laws.weibullShape);
    const out = released - coating.released;
    coating.released = released;
    fromCoatings[coating.onSurface ? 'surfaceUrea' : 'urea'] += out * coating.forms.urea;
    fromCoatings.ammonium += out * coating.forms.ammonium;
    fromCoatings.nitrate += out * coating.forms.nitrate;
  }
  if (state.soilOrganic > 0) {
    const out = -state.soilOrganic * Math.expm1(-state.soilPerDay * warmth);
    state.soilOrganic -= out;
    fromCoatings.ammonium += out;
  }
  for (const pool of state.measured) {
    const { kPerDay, temperatureC, biology } = pool.curve;
    const speed = (warmth * day.biology) / (temperatureResponse(temperatureC, laws.q10) * biology);
    const out = -pool.coming * Math.expm1(-kPerDay * speed);
    pool.coming -= out;
    fromCoatings.ammonium += out;
  }
  const rates: Rates = {
    hydrolysis: laws.ureaHydrolysisPerDay * warmth,
    nitrification: laws.nitrificationPerDay * warmth,
    death: laws.microbialDeathPerDay * warmth * day.biology,
    decomposition: warmth * day.biology,
    ammoniaLoss: AMMONIA_LOSS_PER_DAY * warmth,
    efficiency: laws.microbialCN / laws.criticalCN,
    fromCoatings,
  };

  const reach = withinReach(state);
  const whole = change(state, laws, rates, 1, 1);
  if (reach + whole.gained >= 0) advance(state, laws, rates, whole, 1, 1);
  else {
    const until = reach > 1e-12 ? lastThatHolds((part) => reach + change(state, laws, rates, part, 1).gained) : 0;
    if (until > 0) advance(state, laws, rates, change(state, laws, rates, until, 1), until, 1);
    const left = withinReach(state);
    const rest = 1 - until;
    const slow = lastThatHolds((x) => left + change(state, laws, rates, rest, x).gained);
    advance(state, laws, rates, change(state, laws, rates, rest, slow), rest, slow);
  }

  takeUp(state, (day.uptake * lengthDays) / 2);
  if (day.waterFilled > DENITRIFIES_ABOVE) {
    const above = (day.waterFilled - DENITRIFIES_ABOVE) / (1 - DENITRIFIES_ABOVE);
    const speed = laws.denitrificationPerDay * temperatureResponse(day.temperatureC, laws.q10) * above * lengthDays;
    const lost = -nitrateIn(state) * Math.expm1(-speed);
    putNitrate(state, -lost);
    state.denitrified += lost;
  }
  state.leached += drainCells(state.nitrate, day.drainedMm * lengthDays, day.cellMm);
  takeUp(state, (day.uptake * lengthDays) / 2);
}
