import { assumption, computed, constant, literal, product, quotient, type Figure } from '../figure/index.js';
import { QuantityError } from '../errors.js';
import type { Range } from '../quantity/index.js';

/** A kitchen acid: what it is called, its molar mass, the protons it can give and how firmly it holds the first. */
export interface KitchenAcid {
  readonly key: string;
  readonly name: string;
  readonly gPerMol: number;
  readonly protons: number;
  readonly pKa: number;
  /** Usual strength, % w/v. */
  readonly usualPercent: number;
  /** Most calcium that stays dissolved in a neutralised extract, g/L, where its calcium salt settles out. */
  readonly calciumStaysGPerL?: Range;
}
/** Molar masses from standard atomic weights; first dissociation constants at 25 °C, textbook values. */
export const KITCHEN_ACIDS: readonly KitchenAcid[] = [
  { key: 'acetic', name: 'vinegar (acetic acid)', gPerMol: 60.05, protons: 1, pKa: 4.76, usualPercent: 5 },
  {
    key: 'citric',
    name: 'lemon juice (citric acid)',
    gPerMol: 192.12,
    protons: 3,
    pKa: 3.13,
    usualPercent: 6,
    calciumStaysGPerL: { low: 0.1, mid: 0.2, high: 0.5 },
  },
  { key: 'lactic', name: 'whey or ferment (lactic acid)', gPerMol: 90.08, protons: 1, pKa: 3.86, usualPercent: 0.8 },
];

/** A solid the acid is poured on, with its share of CaCO3. */
export interface KitchenSolid {
  readonly key: string;
  readonly name: string;
  readonly calciumCarbonate: Range;
}
export const KITCHEN_SOLIDS: readonly KitchenSolid[] = [
  { key: 'eggshell', name: 'egg shell', calciumCarbonate: { low: 0.93, mid: 0.95, high: 0.97 } },
  { key: 'seashell', name: 'sea shell', calciumCarbonate: { low: 0.93, mid: 0.96, high: 0.98 } },
  { key: 'limestone', name: 'ground limestone', calciumCarbonate: { low: 0.8, mid: 0.9, high: 0.98 } },
  { key: 'woodash', name: 'wood ash', calciumCarbonate: { low: 0.25, mid: 0.45, high: 0.65 } },
];

const CARBONATE_G_PER_MOL = 100.09;
const CALCIUM_PER_CARBONATE = 40.078 / CARBONATE_G_PER_MOL;
const typed = (label: string, value: number, unit: string): Figure => literal(label, value, unit, 'chosen', 'as typed');

export interface Extract {
  /** CaCO3 the acid could dissolve if there were enough, g. */
  readonly acidDissolves: Figure;
  /** CaCO3 that is there, g. */
  readonly present: Figure;
  /** Calcium in the extract at most, g. */
  readonly calcium: Figure;
  readonly calciumMgPerL: Figure;
  /** What else must be known; empty when nothing. */
  readonly caveat: string;
  readonly limitedBy: 'acid' | 'solid' | 'either';
}

/**
 * The most calcium a kitchen extract can hold: two mol of protons dissolve one mol of CaCO3 and not more, however long it stands.
 * @param percent strength in % w/v @param litres of acid @param grams of solid
 * @throws QuantityError when an amount is not above zero or the strength is more than 100 %
 * @example kitchenExtract('acetic', 5, 1, 'eggshell', 100).acidDissolves // 50 g ÷ 60.05 ÷ 2 × 100.09 = 41.7 g
 */
export function kitchenExtract(
  acidKey: string,
  percent: number,
  litres: number,
  solidKey: string,
  grams: number,
): Extract {
  const acid = acidOf(acidKey);
  const solid = KITCHEN_SOLIDS.find((s) => s.key === solidKey);
  if (!solid) throw new RangeError(`No solid is called "${solidKey}".`);
  for (const [path, value, most] of [
    ['percent', percent, 100],
    ['litres', litres, 1000],
    ['grams', grams, 1e6],
  ] as const)
    if (!(value > 0 && value <= most))
      throw new QuantityError('kitchen.amount', `Read ${value}, expected more than 0 and at most ${most}.`, path);
  const acidMol = quotient(
    'acid',
    'mol',
    product('acid by weight', 'g', [
      typed('strength', percent, '% w/v'),
      constant('g per % and litre', 10, 'g/L per % w/v', 'by definition'),
      typed('volume', litres, 'L'),
    ]),
    constant(`molar mass of ${acid.name}`, acid.gPerMol, 'g/mol', 'standard atomic weights'),
  );
  if (!acidMol) throw new RangeError('A molar mass is never zero.');
  const acidDissolves = product('CaCO₃ that the acid can dissolve', 'g', [
    acidMol,
    constant('protons in each', acid.protons, 'mol/mol', 'all it can give'),
    constant('CaCO₃ per proton', 0.5, 'mol/mol', 'CaCO₃ + 2 H⁺ → Ca²⁺ + CO₂ + H₂O'),
    constant('molar mass of CaCO₃', CARBONATE_G_PER_MOL, 'g/mol', 'standard atomic weights'),
  ]);
  const present = product('CaCO₃ that is there', 'g', [
    typed(solid.name, grams, 'g'),
    assumption(`CaCO₃ in ${solid.name}`, solid.calciumCarbonate, 'g/g', 'typical'),
  ]);
  const a = acidDissolves.value;
  const b = present.value;
  const least = lesser(a, b);
  const dissolved = computed('CaCO₃ dissolved at most', least, 'g', 'smaller', 'the smaller of the two', [
    acidDissolves,
    present,
  ]);
  const dissolvedCalcium = product('calcium dissolved at most', 'g', [
    dissolved,
    constant('calcium in CaCO₃', CALCIUM_PER_CARBONATE, 'g/g', '40.08 ÷ 100.09'),
  ]);
  const stays =
    acid.calciumStaysGPerL &&
    product('calcium that stays dissolved', 'g', [
      assumption(
        'calcium that a neutralised extract holds',
        acid.calciumStaysGPerL,
        'g/L',
        'calcium citrate settles out',
      ),
      typed('volume', litres, 'L'),
    ]);
  const calcium = stays
    ? computed(
        'calcium in the extract at most',
        lesser(dissolvedCalcium.value, stays.value),
        'g',
        'smaller',
        'the smaller of the two',
        [dissolvedCalcium, stays],
      )
    : { ...dissolvedCalcium, label: 'calcium in the extract at most' };
  const calciumMgPerL = quotient(
    'calcium in the extract',
    'mg/L',
    product('calcium', 'mg', [calcium, constant('mg per g', 1000, 'mg/g', 'by definition')]),
    typed('volume', litres, 'L'),
  );
  if (!calciumMgPerL) throw new RangeError('A volume above zero is never zero.');
  return {
    acidDissolves,
    present,
    calcium,
    calciumMgPerL,
    caveat: stays
      ? 'Calcium citrate settles out as the acid is used up: the clear liquid holds tenths of a gram of calcium in a litre, whatever the acid could dissolve.'
      : '',
    limitedBy: a.high < b.low ? 'acid' : b.high < a.low ? 'solid' : 'either',
  };
}

const lesser = (a: Range, b: Range): Range => ({
  low: Math.min(a.low, b.low),
  mid: Math.min(a.mid, b.mid),
  high: Math.min(a.high, b.high),
});

const acidOf = (key: string): KitchenAcid => {
  const acid = KITCHEN_ACIDS.find((a) => a.key === key);
  if (!acid) throw new RangeError(`No acid is called "${key}".`);
  return acid;
};

/**
 * pH of a weak acid in pure water, from its first proton alone: x² ÷ (c − x) = Ka.
 * Six times the strength is about 0.4 pH lower, not "six times as acidic" on the scale people read.
 * @param percent % w/v, above 0
 * @example weakAcidPh('acetic', 5) // 2.4
 */
export function weakAcidPh(acidKey: string, percent: number): Figure {
  const acid = acidOf(acidKey);
  const molar = (10 * percent) / acid.gPerMol;
  const ka = 10 ** -acid.pKa;
  const protons = (-ka + Math.sqrt(ka * ka + 4 * ka * molar)) / 2;
  return computed(
    `pH of ${acid.name} at ${percent} %`,
    -Math.log10(protons),
    '',
    'weakAcid',
    'x² ÷ (c − x) = Ka for its first proton, in pure water',
    [
      typed('strength', percent, '% w/v'),
      constant('molar mass', acid.gPerMol, 'g/mol', 'standard atomic weights'),
      constant('pKa', acid.pKa, '', 'at 25 °C'),
    ],
  );
}
