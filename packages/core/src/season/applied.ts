import { computed, constant, literal, product as times, quotient, type Figure } from '../figure/index.js';
import type { Shape } from '../ground/index.js';
import {
  measure,
  per,
  rateBasis,
  rateFactor,
  rateMeasure,
  rateRange,
  unitOf,
  type Range,
  type Rate,
} from '../quantity/index.js';
import { densityFigure } from '../shelf/index.js';
import type { Amount, Application, Part } from './application.js';
import { broughtBy, type Brought } from './brought.js';
import type { Season } from './dates.js';
import type { Given } from './given.js';
import { cropStand } from './uptake.js';

/** A plot as far as doses need it. */
export interface DosedPlot {
  readonly areaM2: number;
  readonly shape?: Shape | undefined;
}

/** One application in numbers, on the part it is given to. */
export type Applied =
  | {
      readonly kind: 'applied';
      readonly perM2: Figure;
      readonly perHa: Figure;
      /** On all of the part, kg. */
      readonly whole: Figure;
      /** Ground it is given to, m². */
      readonly area: Figure;
      /** g for each plant, where it is known how many there are. */
      readonly perPlant: Figure | undefined;
      readonly brings: readonly Brought[];
    }
  | { readonly kind: 'unknown'; readonly why: string };

type Known = Figure | { readonly why: string };
const isKnown = (x: Known): x is Figure => 'value' in x;
const asTyped = (label: string, value: number | Range, unit: Parameters<typeof literal>[2]): Figure =>
  literal(label, value, unit, 'chosen', 'as typed');

/** kg per L of what is given: of several parts by their shares; unknown when one has none. */
function densityOf({ name, parts }: Given): Known {
  const known = parts.flatMap(({ product, share }) => {
    const density = densityFigure(product);
    return density ? [{ density, share }] : [];
  });
  const [first] = known;
  if (!first || known.length < parts.length)
    return { why: `${name} is given by volume, and the density of what is in it is not entered.` };
  if (known.length === 1) return first.density;
  const at = (end: keyof Range): number => 1 / known.reduce((sum, k) => sum + k.share / k.density.value[end], 0);
  return computed(
    `density of ${name}`,
    { low: at('low'), mid: at('mid'), high: at('high') },
    'kg/L',
    'density',
    'mass over the volumes of its parts',
    known.map((k) => k.density),
  );
}

/** An amount in kg for each of something, from one in a unit of weight or volume. @param each what it is for, as a unit */
function inKilograms(label: string, amount: Figure, unit: string, factor: number, each: string, given: Given): Known {
  const volume = unitOf(unit).dimension === 'volume';
  const canonical = volume ? `L${each}` : `kg${each}`;
  const converted =
    Math.abs(factor - 1) < 1e-15
      ? amount
      : times(label, canonical, [
          amount,
          constant(
            `${canonical} per ${amount.unit.text}`,
            factor,
            per(measure(canonical), amount.unit),
            'by definition',
          ),
        ]);
  if (!volume) return converted;
  const density = densityOf(given);
  return isKnown(density) ? times(`${label}, by weight`, `kg${each}`, [converted, density]) : density;
}

const rateInKilograms = (rate: Rate, each: string, given: Given): Known =>
  inKilograms(
    `rate of ${given.name}`,
    asTyped('rate', rateRange(rate), rateMeasure(rate)),
    rate.unit,
    rateFactor(rate),
    each,
    given,
  );

/** The ground of the part, m²: the plot’s area × the season’s share × the part’s. */
export function partArea({ areaM2 }: DosedPlot, { share: ofPlot }: Season, { share }: Part): Figure {
  const shares = [
    ...(ofPlot === 1 ? [] : [asTyped('the season’s share of the plot', ofPlot, '')]),
    ...(share === 1 ? [] : [asTyped('share of that', share, '')]),
  ];
  const plot = literal('area of the plot', areaM2, 'm²', 'measured', 'the plot');
  return shares.length === 0 ? plot : times('ground it is given to', 'm²', [plot, ...shares]);
}

/** Plants on a square metre: as counted on the part, or by the crop's usual spacing. */
function stand(part: Part, season: Season, area: Figure): Known {
  if (part.plants !== undefined) {
    const counted = quotient('plants on a square metre', 'plants/m²', asTyped('plants', part.plants, 'plants'), area);
    if (counted) return counted;
  }
  const usual = cropStand(season.crop);
  return usual.kind === 'figure' ? usual.figure : { why: `How many plants there are is not said. ${usual.why}` };
}

/** Metres of row on a square metre. */
function rows(part: Part, plot: DosedPlot, season: Season, area: Figure): Known {
  const { shape } = plot;
  const whole =
    part.rowM ?? (shape?.kind === 'rows' ? shape.lengthM * shape.count * season.share * part.share : undefined);
  const measured =
    whole === undefined ? undefined : quotient('row on a square metre', 'm/m²', asTyped('row', whole, 'm'), area);
  if (measured) return measured;
  const { spacing } = season.crop;
  if (!spacing) return { why: 'The length of the rows is not said, and the crop’s spacing is not known here.' };
  return computed(
    'row on a square metre',
    1 / spacing.rowM,
    'm/m²',
    'spacing',
    `rows ${spacing.rowM} m apart, as is usual`,
    [],
  );
}

/** Litres of medium on a square metre. */
function medium(part: Part, plot: DosedPlot, season: Season, area: Figure): Known {
  const { shape } = plot;
  const whole =
    part.mediumL ?? (shape?.kind === 'containers' ? shape.litres * shape.count * season.share * part.share : undefined);
  const found =
    whole === undefined ? undefined : quotient('medium on a square metre', 'L/m²', asTyped('medium', whole, 'L'), area);
  return found ?? { why: 'How many litres of medium there are is not said.' };
}

/** What is around a dose: the ground, and how many of a thing stand on a square metre of it. */
interface Around {
  readonly given: Given;
  readonly part: Part;
  readonly plot: DosedPlot;
  readonly season: Season;
  readonly area: Figure;
  readonly ring: Figure | undefined;
}

const label = (given: Given): string => `${given.name} on a square metre`;

/** So much for each of something × how many of it there are on a square metre. */
const each = (given: Given, amount: Known, many: Known): Known => {
  if (!isKnown(amount)) return amount;
  return isKnown(many) ? times(label(given), 'kg/m²', [amount, many]) : many;
};

/** How many of what an amount is told for there are on a square metre; one of a whole part is one over its ground. */
function manyOn(of: 'plant' | 'm²' | 'part', around: Around): Known {
  if (of === 'plant') return stand(around.part, around.season, around.area);
  if (of === 'm²') return constant('square metre', 1, 'm²/m²', 'by definition');
  return (
    quotient('once on the part', '/m²', constant('once', 1, '', 'by definition'), around.area) ?? {
      why: 'The part has no ground.',
    }
  );
}
const UNIT_OF = { plant: '/plant', 'm²': '/m²', part: '' } as const;

function rateOn(amount: Extract<Amount, { kind: 'rate' }>, around: Around): Known {
  const { rate, water } = amount;
  const { given, part, plot, season, area, ring } = around;
  switch (rateBasis(rate)) {
    case 'area': {
      const onGround = rateInKilograms(rate, '/m²', given);
      if (!ring || !isKnown(onGround)) return onGround;
      return each(given, times('for each plant', 'kg/plant', [onGround, ring]), stand(part, season, area));
    }
    case 'plant':
      return each(given, rateInKilograms(rate, '/plant', given), stand(part, season, area));
    case 'row':
      return each(given, rateInKilograms(rate, '/m', given), rows(part, plot, season, area));
    case 'medium':
      return each(given, rateInKilograms(rate, '/L', given), medium(part, plot, season, area));
    case 'water': {
      if (!water) return { why: 'The rate is for the water it is given in; say how many litres are given.' };
      const inWater = rateInKilograms(rate, '/L', given);
      if (!isKnown(inWater)) return inWater;
      const unit = UNIT_OF[water.per];
      const fed = times('in the feed', `kg${unit}`, [inWater, asTyped('feed given', water.litres, `L${unit}`)]);
      return each(given, fed, manyOn(water.per, around));
    }
  }
}

function amountOn(amount: Amount, around: Around): Known {
  const { given } = around;
  switch (amount.kind) {
    case 'rate':
      return rateOn(amount, around);
    case 'measure': {
      const { count, holds, per: of } = amount;
      const one = inKilograms(
        `${given.name} in one`,
        asTyped('one holds', holds.amount, holds.unit),
        holds.unit,
        unitOf(holds.unit).factor,
        '',
        given,
      );
      if (!isKnown(one)) return one;
      const unit = UNIT_OF[of];
      return each(
        given,
        times('measured out', `kg${unit}`, [asTyped('how many', count, unit), one]),
        manyOn(of, around),
      );
    }
    case 'layer': {
      const density = densityOf(given);
      if (!isKnown(density)) return density;
      return times(label(given), 'kg/m²', [
        asTyped('thickness of the layer', amount.thicknessM, 'm'),
        constant('L per m³', 1000, 'L/m³', 'by definition'),
        density,
      ]);
    }
    case 'whole': {
      const { factor } = unitOf(amount.unit);
      const kilograms = inKilograms(
        given.name,
        asTyped('amount', amount.amount, amount.unit),
        amount.unit,
        factor,
        '',
        given,
      );
      return each(given, kilograms, manyOn('part', around));
    }
  }
}

/** The ground a ring covers around one plant, m²: π(outer² − inner²). */
function ringArea({ where }: Application): Figure | undefined {
  if (where.kind !== 'ring') return undefined;
  const { innerM, outerM } = where;
  return computed(
    'ring around each plant',
    Math.PI * (outerM ** 2 - innerM ** 2),
    'm²/plant',
    'ring',
    'π(outer² − inner²)',
    [asTyped('outer edge, from the stem', outerM, 'm'), asTyped('inner edge, from the stem', innerM, 'm')],
  );
}

const M2_PER_HA = constant('m² per ha', 10_000, 'm²/ha', 'by definition');

/**
 * What one application comes to on the part it is given to: kg of product for a square metre, a hectare, the whole part and a plant, and the kg/ha
 * of every element and form of nitrogen it brings. Ranges stay ranges; what is not known is said, and never taken as nothing.
 * @param given what is given
 * @param plot its area, and its shape where rows or containers are counted
 * @example applied({ amount: { kind: 'rate', rate: fiftyGramsPerM2 }, … }, bagAs(meal), plot, season) // 0.05 kg/m², 500 kg/ha, 60 kg N/ha
 */
export function applied(application: Application, given: Given, plot: DosedPlot, season: Season): Applied {
  const { part } = application;
  const area = partArea(plot, season, part);
  if (given.unknown !== undefined) return { kind: 'unknown', why: given.unknown };
  if (given.parts.length === 0) return { kind: 'unknown', why: 'Plain water brings nothing but water.' };
  const perM2 = amountOn(application.amount, { given, part, plot, season, area, ring: ringArea(application) });
  if (!isKnown(perM2)) return { kind: 'unknown', why: perM2.why };
  const perHa = times(`${given.name} on a hectare`, 'kg/ha', [perM2, M2_PER_HA]);
  const plants = stand(part, season, area);
  const eachPlant = isKnown(plants) ? quotient('for each plant', 'kg/plant', perM2, plants) : undefined;
  return {
    kind: 'applied',
    perM2,
    perHa,
    whole: times(`${given.name} on the part`, 'kg', [perM2, area]),
    area,
    perPlant:
      eachPlant &&
      times(`${given.name} for each plant`, 'g/plant', [
        eachPlant,
        constant('g per kg', 1000, 'g/kg', 'by definition'),
      ]),
    brings: broughtBy(given, perHa),
  };
}
