import { assumption, constant, literal, product, quotient, type Figure } from '../figure/index.js';
import type { Implication } from './implication.js';
import { sodiumAdsorptionRatio } from './soilChemistry.js';

/** What is known of the water a plot is given. What was not measured is missing, not zero. */
export interface IrrigationWater {
  readonly ecMsPerCm?: number | undefined;
  readonly sodiumMgPerL?: number | undefined;
  readonly calciumMgPerL?: number | undefined;
  readonly magnesiumMgPerL?: number | undefined;
  /** As CaCO3. */
  readonly alkalinityMgPerL?: number | undefined;
  readonly nitrateNMgPerL?: number | undefined;
}

const measured = (label: string, value: number, unit: string): Figure =>
  literal(label, value, unit, 'measured', 'water analysis');
const LITRE_PER_MM = constant('litres a mm brings', 1, 'L/m² per mm', '1 mm on 1 m²');

/** What so many mm of a water bring of something dissolved in it: mg/L × mm. @returns g/m² */
const brings = (label: string, mgPerL: Figure, mm: number): Figure =>
  product(label, 'g/m²', [
    mgPerL,
    measured('water given in a year', mm, 'mm'),
    LITRE_PER_MM,
    constant('g per mg', 0.001, 'g/mg', 'by definition'),
  ]);

/** Sulfur that neutralises lime: one makes two acids, one CaCO₃ takes two. */
const sulfurAgainst = (lime: Figure): Figure | undefined =>
  quotient(
    'sulfur that neutralises it',
    'g/m²',
    lime,
    constant('CaCO₃ per sulfur', 100.09 / 32.06, 'g/g', '100.09 ÷ 32.06: two acids from the one, two for the other'),
  );

/**
 * What follows from an irrigation water: its sodium adsorption ratio, and the salt, lime and nitrate nitrogen it brings in a year.
 * @param yearMm water given in a year, mm; undefined when not known
 * @returns figures with their working, or what each lacks
 * @example waterImplications({ alkalinityMgPerL: 250 }, 200)[2]?.figure // 250 mg/L × 200 mm = 50 g/m² of lime
 */
export function waterImplications(water: IrrigationWater, yearMm: number | undefined): readonly Implication[] {
  const {
    ecMsPerCm: ec,
    sodiumMgPerL: Na,
    calciumMgPerL: Ca,
    magnesiumMgPerL: Mg,
    alkalinityMgPerL: alkalinity,
    nitrateNMgPerL: nitrate,
  } = water;
  const amount = yearMm === undefined ? ' and the irrigation of a year' : '';
  // 640 mg/L per mS/cm below 5 mS/cm: USDA Handbook 60 (1954).
  const salts =
    ec === undefined
      ? undefined
      : product('dissolved salts', 'mg/L', [
          measured('electrical conductivity of the water', ec, 'mS/cm'),
          assumption(
            'salts per mS/cm',
            { low: 550, mid: 640, high: 750 },
            'mg/L per mS/cm',
            'usual for mixed salts, USDA Handbook 60 (1954)',
          ),
        ]);
  const over = <T>(value: T | undefined, make: (value: T, mm: number) => Figure): Figure | undefined =>
    value === undefined || yearMm === undefined ? undefined : make(value, yearMm);
  const lime = over(alkalinity, (a, mm) =>
    brings('lime brought, as CaCO₃', measured('alkalinity as CaCO₃', a, 'mg/L'), mm),
  );
  return [
    {
      name: 'Sodium adsorption ratio of the water',
      figure:
        Na === undefined || Ca === undefined || Mg === undefined
          ? undefined
          : sodiumAdsorptionRatio({
              Na: measured('Na in the water', Na, 'mg/L'),
              Ca: measured('Ca in the water', Ca, 'mg/L'),
              Mg: measured('Mg in the water', Mg, 'mg/L'),
            }),
      lacks: 'sodium, calcium and magnesium',
    },
    {
      name: 'Salt the water brings in a year',
      figure: over(salts, (s, mm) => brings('salt brought', s, mm)),
      lacks: `its EC${amount}`,
    },
    { name: 'Lime the water brings in a year', figure: lime, lacks: `its alkalinity${amount}` },
    {
      name: 'Sulfur that would neutralise that lime',
      figure: lime && sulfurAgainst(lime),
      lacks: `its alkalinity${amount}`,
    },
    {
      name: 'Nitrate N the water brings in a year',
      figure: over(nitrate, (n, mm) => brings('nitrate N brought', measured('nitrate N', n, 'mg/L'), mm)),
      lacks: `its nitrate N${amount}`,
    },
  ];
}
