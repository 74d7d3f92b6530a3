import { constant, literal, product, type Figure } from '../figure/index.js';
import { reportEsp, reportSar } from './conditions.js';
import type { Implication } from './implication.js';
import type { Site } from './site.js';
import { pHInWater } from './soilPH.js';
import {
  cationExchange,
  gypsumNeed,
  limeNeed,
  pHBuffering,
  SODIC_SCHOOLS,
  soilMass,
  soilStock,
  sulfurNeed,
  type SodicSchool,
} from './soilChemistry.js';
import {
  inMgPerKg,
  SOIL_ANALYTE_NAMES,
  SOIL_METHOD_NAMES,
  soilFigure,
  type Cation,
  type SoilAnalyte,
  type SoilMethod,
  type SoilReport,
} from './soilReport.js';

const EXCHANGEABLE: readonly SoilMethod[] = ['ammoniumAcetate', 'mehlich3'];
/** Nutrients a report may speak of. Those of the second list are asked for when it does not. */
const NUTRIENTS: readonly SoilAnalyte[] = [
  'nitrateN',
  'ammoniumN',
  'P',
  'K',
  'Ca',
  'Mg',
  'S',
  'Na',
  'B',
  'Zn',
  'Mn',
  'Cu',
  'Fe',
];
const ASKED_FOR: readonly SoilAnalyte[] = ['P', 'K', 'Mg', 'S'];

/** What the layer holds of each nutrient, once by each method it was measured by, since one method's extract is not another's. */
function stocks(report: SoilReport, soil: Figure): readonly Implication[] {
  return NUTRIENTS.flatMap((analyte): readonly Implication[] => {
    const name = SOIL_ANALYTE_NAMES[analyte];
    const found = report.figures.flatMap((f) => {
      const mgPerKg = f.analyte === analyte ? inMgPerKg(f) : undefined;
      return mgPerKg ? [{ method: f.method, mgPerKg }] : [];
    });
    if (found.length === 0)
      return ASKED_FOR.includes(analyte)
        ? [{ name: `${name} in the layer`, figure: undefined, lacks: `${name} in mg/kg` }]
        : [];
    return found.map((f) => ({
      name: `${name} in the layer${found.length > 1 ? `, ${SOIL_METHOD_NAMES[f.method]}` : ''}`,
      figure: soilStock(name, f.mgPerKg, soil),
      lacks: '',
    }));
  });
}

/** A lime at hand, by its neutralising value as a share of pure CaCO₃. */
export interface Lime {
  readonly name: string;
  readonly neutralisingValue: Figure;
}

/** What a need of ground comes to on the whole plot. */
const onPlot = (site: Site, need: Figure | undefined): Figure | undefined =>
  need &&
  product('on the whole plot', 'kg', [need, literal('area of the plot', site.areaM2, 'm²', 'measured', 'the plot')]);

/** Lime or sulfur to a pH: the one or the other, or neither when it is there already. */
function toPH(
  report: SoilReport,
  site: Site,
  goal: number | undefined,
  soil: Figure,
  lime: Lime | undefined,
): Implication {
  const now = pHInWater(site, report);
  const up = goal !== undefined && now !== undefined && goal > now.value.mid;
  const name = up ? `${lime?.name ?? 'Pure lime'} to pH ${goal}` : `Elemental sulfur to pH ${goal ?? '…'}`;
  if (site.medium !== 'mineralSoil')
    return {
      name: 'Lime or sulfur',
      figure: undefined,
      lacks:
        'garden or field soil: a potting medium holds its pH in another way and is limed by the litre, as its maker says',
    };
  if (now === undefined) return { name, figure: undefined, lacks: 'pH' };
  if (goal === undefined || goal === now.value.mid)
    return { name, figure: undefined, lacks: 'a pH to reach, other than today’s' };
  const percent = soilFigure(report, 'freeLime', undefined, ['%']);
  const freeLime =
    percent &&
    product('free lime, by weight', 'kg/kg', [percent, constant('kg/kg per %', 0.01, 'kg/kg per %', 'by definition')]);
  const held = soilFigure(report, 'pHBuffering') ?? pHBuffering(site.texture);
  const figure = up
    ? limeNeed(now, goal, held, soil, lime?.neutralisingValue)
    : sulfurNeed(now, goal, held, soil, freeLime);
  return { name, figure, whole: onPlot(site, figure), lacks: '' };
}

/**
 * Everything that follows from one soil report on a site: exchange capacity and saturations, sodium, gypsum, lime or sulfur, and stocks.
 * @param pHGoal the pH to reach; undefined leaves lime and sulfur out
 * @param school where sodic begins, which is also the goal for gypsum
 * @param lime what is at hand; pure lime when nothing is named
 * @returns figures in the order they are read, each with its working, or with the words for what it lacks
 * @example soilImplications(report, site, 6.5, 'US').find((r) => r.name === 'Sodium adsorption ratio')?.figure
 */
export function soilImplications(
  report: SoilReport,
  site: Site,
  pHGoal: number | undefined,
  school: SodicSchool,
  lime?: Lime,
): readonly Implication[] {
  const soil = soilMass(report.depthM, site.texture, soilFigure(report, 'bulkDensity', undefined, ['kg/L']));
  const exchange = exchangeOf(report);
  const cec = soilFigure(report, 'CEC') ?? exchange?.cec;
  const sar = reportSar(report);
  const esp = reportEsp(report);
  const gypsum = esp && cec && gypsumNeed(esp, SODIC_SCHOOLS[school], cec, soil);
  return [
    {
      name: 'Cation exchange capacity, from cations',
      figure: exchange?.cec,
      lacks: 'exchangeable Ca, Mg, K and Na',
      about: 'CEC',
    },
    ...(exchange
      ? CATIONS.map((c): Implication => ({ name: `${c} saturation`, figure: exchange.saturation[c], lacks: '' }))
      : []),
    { name: 'Sodium adsorption ratio', figure: sar, lacks: 'Na, Ca and Mg of a saturated paste', about: 'SAR' },
    { name: 'Exchangeable sodium', figure: esp, lacks: 'the same', about: 'ESP' },
    {
      name: `Gypsum to below ESP ${SODIC_SCHOOLS[school]} %`,
      figure: gypsum,
      whole: onPlot(site, gypsum),
      lacks: 'exchangeable sodium and CEC',
    },
    toPH(report, site, pHGoal, soil, lime),
    ...stocks(report, soil),
  ];
}

const CATIONS = ['Ca', 'Mg', 'K', 'Na'] as const satisfies readonly Cation[];
/** Exchange capacity and saturations, where all four cations were measured. */
function exchangeOf(report: SoilReport) {
  const [Ca, Mg, K, Na] = CATIONS.map((c) =>
    report.figures
      .filter((f) => f.analyte === c && EXCHANGEABLE.includes(f.method))
      .map(inMgPerKg)
      .find((f) => f !== undefined),
  );
  return Ca && Mg && K && Na && cationExchange({ Ca, Mg, K, Na }, soilFigure(report, 'acidity'));
}
