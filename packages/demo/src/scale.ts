import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** How a practice scale behaves: kg and seconds. */
export interface ScaleTraits {
  /** What it can tell apart. */
  readonly divisionKg: number;
  /** The most it can carry. */
  readonly mostKg: number;
  /** How much a resting reading jumps about. */
  readonly noiseKg: number;
  /** How far the zero wanders in an hour. */
  readonly driftKgPerHour: number;
  /** How fast it comes to rest after a load: swings a second, and the share of a swing that is left after each. */
  readonly swingsPerS: number;
  readonly swingLeft: number;
}
export const KITCHEN_SCALE: ScaleTraits = {
  divisionKg: 0.001,
  mostKg: 30,
  noiseKg: 0.0004,
  driftKgPerHour: 0.004,
  swingsPerS: 2,
  swingLeft: 0.35,
};

/** What the scale shows. */
export interface ScaleReading {
  readonly kg: number;
  /** It has come to rest. */
  readonly steady: boolean;
  /** More is on it than it can carry. */
  readonly tooMuch: boolean;
}

/** Below this share of a division of swing, and this long after it, it is at rest. */
const AT_REST = 0.5;
const REST_S = 0.6;

/** A practice scale: it drifts, it swings to rest after each load and overshoots on the way, and its reading is never quite still. */
export class PracticeScale {
  private loadKg = 0;
  private tareKg = 0;
  private now = 0;
  private swingKg = 0;
  private swungAt = 0;
  private restingSince = 0;
  private readonly random: ReturnType<typeof xoroshiro128plus>;

  constructor(
    private readonly traits: ScaleTraits = KITCHEN_SCALE,
    seed = 7,
  ) {
    this.random = xoroshiro128plus(seed);
  }

  /** Puts something on the pan, or takes it off; the pan never holds less than nothing. */
  put(kg: number): void {
    const before = this.loadKg;
    this.loadKg = Math.max(0, this.loadKg + kg);
    // The pan goes past the new weight and comes back.
    this.swingKg = this.swing() + (this.loadKg - before) * 0.18;
    this.swungAt = this.now;
    this.restingSince = Infinity;
  }
  /** Takes all off the pan. */
  clear(): void {
    this.put(-this.loadKg);
  }
  /** What is on the pan from now on counts as nothing. */
  tare(): void {
    this.tareKg = this.loadKg + this.drift();
  }
  /** Lets so many seconds pass. */
  pass(seconds: number): void {
    this.now += seconds;
  }

  private drift(): number {
    return (this.traits.driftKgPerHour * this.now) / 3600;
  }
  private swing(): number {
    const { swingsPerS, swingLeft } = this.traits;
    const t = this.now - this.swungAt;
    return this.swingKg * swingLeft ** (t * swingsPerS) * Math.cos(2 * Math.PI * swingsPerS * t);
  }

  /** What it shows now. */
  read(): ScaleReading {
    const { divisionKg, mostKg, noiseKg, swingsPerS, swingLeft } = this.traits;
    const left = Math.abs(this.swingKg) * swingLeft ** ((this.now - this.swungAt) * swingsPerS);
    const still = left < AT_REST * divisionKg;
    if (!still) this.restingSince = Infinity;
    else if (this.restingSince === Infinity) this.restingSince = this.now;
    const raw =
      this.loadKg -
      this.tareKg +
      this.drift() +
      this.swing() +
      ((this.random.next() >>> 0) / 0x1_0000_0000 - 0.5) * 2 * noiseKg;
    const tooMuch = this.loadKg > mostKg;
    return {
      kg: Number((Math.round(raw / divisionKg) * divisionKg).toFixed(6)),
      steady: still && !tooMuch && this.now - this.restingSince >= REST_S,
      tooMuch,
    };
  }
}

/** A reading as a line of its stream. @example scaleLine({ kg: 1.2, steady: true, tooMuch: false }) // '1.200 kg steady' */
export const scaleLine = ({ kg, steady, tooMuch }: ScaleReading): string =>
  tooMuch ? 'too much' : `${kg.toFixed(3)} kg ${steady ? 'steady' : 'moving'}`;
