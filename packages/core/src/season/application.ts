import type { Rate, Range } from '../quantity/index.js';
import type { GrowthStage } from './demand.js';

/**
 * How much of something is given. A rate is told by ground, plant, row, water or medium; a rate in water needs the litres that are given of it.
 * A can or scoop is counted, and says what it holds. A layer is spread so thick. A whole amount goes over all of the part.
 */
export type Amount =
  | { readonly kind: 'rate'; readonly rate: Rate; readonly water?: WaterGiven | undefined }
  | {
      readonly kind: 'measure';
      readonly count: Range;
      readonly holds: { readonly amount: number; readonly unit: string };
      readonly per: 'plant' | 'm²' | 'part';
    }
  | { readonly kind: 'layer'; readonly thicknessM: Range }
  | { readonly kind: 'whole'; readonly amount: Range; readonly unit: string };

/** Litres of the ready feed that are given. */
export interface WaterGiven {
  readonly litres: Range;
  readonly per: 'plant' | 'm²' | 'part';
}

/** When it is given; days are ISO dates. */
export type When =
  | { readonly kind: 'date'; readonly on: string }
  | { readonly kind: 'repeat'; readonly from: string; readonly to: string; readonly everyDays: number }
  | { readonly kind: 'afterPlanting'; readonly days: number }
  | { readonly kind: 'stage'; readonly stage: GrowthStage };

/** Where it goes. */
export type Where =
  | { readonly kind: 'surface' }
  | { readonly kind: 'wateredIn' }
  | { readonly kind: 'workedIn'; readonly depthM: number }
  | { readonly kind: 'hole' }
  | { readonly kind: 'ring'; readonly innerM: number; readonly outerM: number }
  | { readonly kind: 'band' }
  | { readonly kind: 'inWater' }
  | { readonly kind: 'foliar' }
  | { readonly kind: 'medium' };
export const WHERE_WORDS: Readonly<Record<Where['kind'], string>> = {
  surface: 'left on top',
  wateredIn: 'on top and watered in',
  workedIn: 'worked in',
  hole: 'in the planting hole',
  ring: 'in a ring around each plant',
  band: 'in a band along the row',
  inWater: 'in the water',
  foliar: 'on the leaves',
  medium: 'mixed into the medium',
};

/** On which part of the season's ground: a share of it, and what stands there where rates are told by it. What is missing is not known. */
export interface Part {
  /** Share of the season's ground, 1 for all. */
  readonly share: number;
  readonly plants?: number | undefined;
  readonly rowM?: number | undefined;
  readonly mediumL?: number | undefined;
}

/** One thing done to the ground of a season, on one day or several. */
export interface Application {
  readonly amount: Amount;
  readonly when: When;
  readonly where: Where;
  readonly part: Part;
}
