import { dispersionResult, type JarReadings } from './jarTest.js';
import type { Site } from './site.js';
import { exchangeableSodium, SODIC_SCHOOLS, sodiumAdsorptionRatio, type SodicSchool } from './soilChemistry.js';
import type { Figure } from '../figure/index.js';
import { formatGivenRange, formatTrimmedRange, type Range } from '../quantity/index.js';
import { pHInWater } from './soilPH.js';
import { SOIL_ANALYTE_NAMES, SOIL_METHOD_NAMES, soilClass, soilFigure, type SoilReport } from './soilReport.js';

/** Things the rest of the program may ask of a plot. */
export const CONDITIONS = [
  'sodic',
  'dispersive',
  'acidBelow5',
  'alkalineAbove75',
  'phosphorusHigh',
  'potassiumLow',
  'saline',
  'pottingMedium',
] as const;
export type Condition = (typeof CONDITIONS)[number];

/** An answer, never a guess: unknown names the test that would settle it. */
export type ConditionAnswer =
  | { readonly answer: 'yes' | 'no'; readonly because: string; readonly figure?: Figure }
  | { readonly answer: 'unknown'; readonly test: string };

export const CONDITION_NAMES: Readonly<Record<Condition, string>> = {
  sodic: 'sodic',
  dispersive: 'dispersive',
  acidBelow5: 'acid, below pH 5',
  alkalineAbove75: 'alkaline, above pH 7.5',
  phosphorusHigh: 'phosphorus high already',
  potassiumLow: 'potassium low',
  saline: 'saline',
  pottingMedium: 'a potting medium',
};
/** EC of a saturated paste at which soil counts as saline, mS/cm (USDA Handbook 60, 1954). */
const SALINE_EC = 4;

const yesNo = (yes: boolean, because: string, figure?: Figure): ConditionAnswer => ({
  answer: yes ? 'yes' : 'no',
  because,
  ...(figure ? { figure } : {}),
});
const unknown = (test: string): ConditionAnswer => ({ answer: 'unknown', test });

/** SAR of a report: as the lab gives it, or from sodium, calcium and magnesium of a saturated paste. */
export function reportSar(report: SoilReport): Figure | undefined {
  const given = soilFigure(report, 'SAR');
  if (given) return given;
  const [Na, Ca, Mg] = (['Na', 'Ca', 'Mg'] as const).map((e) =>
    soilFigure(report, e, ['saturatedPaste'], ['mg/L', 'mmol_c/L']),
  );
  return Na && Ca && Mg && sodiumAdsorptionRatio({ Na, Ca, Mg });
}

/** Exchangeable sodium of a report: as the lab gives it, or from its SAR. */
export function reportEsp(report: SoilReport): Figure | undefined {
  const sar = reportSar(report);
  return soilFigure(report, 'ESP') ?? (sar && exchangeableSodium(sar));
}

/** Whether something holds over a whole range; unknown when only for a part of it, and then the test is to be made again. */
function holds(
  { low, high }: Range,
  test: (value: number) => boolean,
  because: string,
  again: string,
  figure?: Figure,
): ConditionAnswer {
  if (test(low) !== test(high)) return unknown(`${again} again: ${because}, cannot tell yet`);
  return yesNo(test(low), because, figure);
}

function classIs(report: SoilReport | undefined, analyte: 'P' | 'K', wanted: 'high' | 'low'): ConditionAnswer {
  for (const figure of report?.figures.filter((f) => f.analyte === analyte) ?? []) {
    const found = soilClass(figure);
    if (found) return yesNo(found === wanted, `${found} by ${SOIL_METHOD_NAMES[figure.method]}`);
  }
  return unknown(`${SOIL_ANALYTE_NAMES[analyte]}, by a method that is named`);
}

/** A soil's pH in water: of its report, else as the plot says. */
export const soilPH = (site: Pick<Site, 'pH'>, report: SoilReport | undefined): number | undefined =>
  pHInWater(site, report)?.value.mid;

/**
 * Answers a condition of a plot from its own pH, its medium and its newest soil report.
 * @param jar the newest readings of a jar test for dispersion
 * @param school where sodic begins: ESP 15 in the US, 6 in Australia
 */
export function condition(
  which: Condition,
  site: Site,
  report: SoilReport | undefined,
  school: SodicSchool = 'US',
  jar?: JarReadings,
): ConditionAnswer {
  const measured = pHInWater(site, report);
  const pH = measured?.value;
  // A pH that was worked out from another method opens to its working.
  const workedOut = measured?.how.kind === 'operation' ? measured : undefined;
  const told = pH && `pH ${formatTrimmedRange(pH)}${workedOut ? ' in water' : ''}`;
  switch (which) {
    case 'pottingMedium':
      return yesNo(
        site.medium !== 'mineralSoil',
        site.medium === 'mineralSoil' ? 'it is garden or field soil' : 'as the plot says',
      );
    case 'dispersive': {
      const { kind, says } = jar ? dispersionResult(jar) : { kind: 'unfinished' as const, says: '' };
      return kind === 'unfinished' ? unknown('the jar test for dispersion') : yesNo(kind !== 'not', says);
    }
    case 'acidBelow5':
      return pH ? holds(pH, (at) => at < 5, told ?? '', workedOut ? 'pH in water' : 'pH', workedOut) : unknown('pH');
    case 'alkalineAbove75':
      return pH ? holds(pH, (at) => at > 7.5, told ?? '', workedOut ? 'pH in water' : 'pH', workedOut) : unknown('pH');
    case 'phosphorusHigh':
      return classIs(report, 'P', 'high');
    case 'potassiumLow':
      return classIs(report, 'K', 'low');
    case 'saline': {
      const ec = soilFigure(report, 'EC', ['saturatedPaste'], ['mS/cm']);
      return ec
        ? holds(
            ec.value,
            (at) => at >= SALINE_EC,
            `${formatGivenRange(ec.value)} mS/cm in saturated paste, saline from ${SALINE_EC}`,
            'electrical conductivity of a saturated paste',
          )
        : unknown('electrical conductivity of a saturated paste');
    }
    case 'sodic': {
      const esp = report && reportEsp(report);
      if (!esp) return unknown('sodium, calcium and magnesium in a saturated paste; or the jar test for dispersion');
      return holds(
        esp.value,
        (at) => at >= SODIC_SCHOOLS[school],
        `exchangeable sodium ${formatTrimmedRange(esp.value, 2)} %, sodic from ${SODIC_SCHOOLS[school]} % (${school})`,
        'sodium of a saturated paste',
        esp,
      );
    }
  }
}
