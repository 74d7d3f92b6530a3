import { reportSar } from './conditions.js';
import type { Implication } from './implication.js';
import type { Site } from './site.js';
import { cationExchange, exchangeableSodium, gypsumNeed, limeNeed, SODIC_SCHOOLS, soilMass, soilStock, sulfurNeed, type SodicSchool } from './soilChemistry.js';
import { soilValue, type SoilReport } from './soilReport.js';

const EXCHANGEABLE = ['ammoniumAcetate', 'mehlich3'] as const;

/**
 * Everything that follows from one soil report on a site: exchange capacity and saturations, sodium, gypsum, lime or sulfur, and stocks.
 * @param pHGoal the pH to reach; undefined leaves lime and sulfur out
 * @param school where sodic begins, which is also the goal for gypsum
 * @returns figures in the order they are read, each with its working, or with the words for what it lacks
 * @example soilImplications(report, site, 6.5, 'US').find((r) => r.name === 'Sodium adsorption ratio')?.figure
 */
export function soilImplications(report: SoilReport, site: Site, pHGoal: number | undefined, school: SodicSchool): readonly Implication[] {
  const soil = soilMass(report.depthM);
  const cations = (['Ca', 'Mg', 'K', 'Na'] as const).map((c) => [c, soilValue(report, c, EXCHANGEABLE, 'mg/kg')] as const);
  const exchange = cations.every(([, v]) => v !== undefined) ? cationExchange(Object.fromEntries(cations) as Record<'Ca' | 'Mg' | 'K' | 'Na', number>, soilValue(report, 'acidity')) : undefined;
  const cec = soilValue(report, 'CEC') ?? exchange?.cec.value.mid;
  const sar = reportSar(report);
  const esp = sar && exchangeableSodium(sar);
  const pH = soilValue(report, 'pH') ?? site.pH;
  const freeLime = soilValue(report, 'freeLime', undefined, '%');
  const toPh = pH !== undefined && pHGoal !== undefined && pHGoal !== pH ? (pHGoal > pH ? limeNeed(pH, pHGoal, site.texture, soil) : sulfurNeed(pH, pHGoal, site.texture, soil, freeLime === undefined ? undefined : freeLime / 100)) : undefined;
  const stock = (analyte: 'P' | 'K' | 'Mg' | 'S', name: string): Implication => {
    const found = soilValue(report, analyte, undefined, 'mg/kg');
    return { name: `${name} in the layer`, figure: found === undefined ? undefined : soilStock(name, found, soil), lacks: `${name} in mg/kg` };
  };
  return [
    { name: 'Cation exchange capacity, from cations', figure: exchange?.cec, lacks: 'exchangeable Ca, Mg, K and Na in mg/kg' },
    ...(exchange ? (['Ca', 'Mg', 'K', 'Na'] as const).map((c): Implication => ({ name: `${c} saturation`, figure: exchange.saturation[c], lacks: '' })) : []),
    { name: 'Sodium adsorption ratio', figure: sar, lacks: 'Na, Ca and Mg of a saturated paste in mg/L' },
    { name: 'Exchangeable sodium', figure: esp, lacks: 'the same' },
    { name: `Gypsum to below ESP ${SODIC_SCHOOLS[school]} %`, figure: esp && cec !== undefined ? gypsumNeed(esp, SODIC_SCHOOLS[school], cec, soil) : undefined, lacks: 'exchangeable sodium and CEC' },
    { name: pHGoal !== undefined && pH !== undefined && pHGoal > pH ? `Pure lime to pH ${pHGoal}` : `Elemental sulfur to pH ${pHGoal ?? '…'}`, figure: toPh, lacks: pH === undefined ? 'pH' : 'a pH to reach, other than today’s' },
    stock('P', 'phosphorus'), stock('K', 'potassium'), stock('Mg', 'magnesium'), stock('S', 'sulfur'),
  ];
}
