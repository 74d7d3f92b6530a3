import { useMemo, useState } from 'react';
import { cationExchange, exchangeableSodium, formatRange, fromCanonical, gypsumNeed, limeNeed, parseNumber, reportSar, scaleRange, SODIC_SCHOOLS, soilMass, soilStock, soilValue, sulfurNeed, type Figure, type Site, type SodicSchool, type SoilReport } from '@wheat-ledger/core';
import { Choice } from '../ui/Choice';
import { FigureButton } from '../ui/FigureButton';
import { Remark } from '../ui/Sheet';

interface Derived {
  readonly name: string;
  readonly figure: Figure | undefined;
  /** What is missing, when there is no figure. */
  readonly lacks: string;
}

const EXCHANGEABLE = ['ammoniumAcetate', 'mehlich3'] as const;

function derive(report: SoilReport, site: Site, pHGoal: number | undefined, school: SodicSchool): readonly Derived[] {
  const soil = soilMass(report.depthM);
  const cations = (['Ca', 'Mg', 'K', 'Na'] as const).map((c) => [c, soilValue(report, c, EXCHANGEABLE, 'mg/kg')] as const);
  const exchange = cations.every(([, v]) => v !== undefined) ? cationExchange(Object.fromEntries(cations) as Record<'Ca' | 'Mg' | 'K' | 'Na', number>, soilValue(report, 'acidity') ?? 0) : undefined;
  const cec = soilValue(report, 'CEC') ?? exchange?.cec.value.mid;
  const sar = reportSar(report);
  const esp = sar && exchangeableSodium(sar);
  const pH = soilValue(report, 'pH') ?? site.pH;
  const toPh = pH !== undefined && pHGoal !== undefined && pHGoal !== pH ? (pHGoal > pH ? limeNeed(pH, pHGoal, site.texture, soil) : sulfurNeed(pH, pHGoal, site.texture, soil)) : undefined;
  const stock = (analyte: 'P' | 'K' | 'Mg' | 'S', name: string): Derived => {
    const found = soilValue(report, analyte, undefined, 'mg/kg');
    return { name: `${name} in the layer`, figure: found === undefined ? undefined : soilStock(name, found, soil), lacks: `${name} in mg/kg` };
  };
  return [
    { name: 'Cation exchange capacity, from cations', figure: exchange?.cec, lacks: 'exchangeable Ca, Mg, K and Na in mg/kg' },
    ...(exchange ? (['Ca', 'Mg', 'K', 'Na'] as const).map((c): Derived => ({ name: `${c} saturation`, figure: exchange.saturation[c], lacks: '' })) : []),
    { name: 'Sodium adsorption ratio', figure: sar, lacks: 'Na, Ca and Mg of a saturated paste in mg/L' },
    { name: 'Exchangeable sodium', figure: esp, lacks: 'the same' },
    { name: `Gypsum to below ESP ${SODIC_SCHOOLS[school]} %`, figure: esp && cec !== undefined ? gypsumNeed(esp, SODIC_SCHOOLS[school], cec, soil) : undefined, lacks: 'exchangeable sodium and CEC' },
    { name: pHGoal !== undefined && pH !== undefined && pHGoal > pH ? `Pure lime to pH ${pHGoal}` : `Elemental sulfur to pH ${pHGoal ?? '…'}`, figure: toPh, lacks: pH === undefined ? 'pH' : 'a pH to reach, other than today’s' },
    stock('P', 'phosphorus'), stock('K', 'potassium'), stock('Mg', 'magnesium'), stock('S', 'sulfur'),
  ];
}

/** A need per m² is read in grams; everything else as it is. */
function Shown({ figure }: { figure: Figure }) {
  if (figure.unit !== 'kg/m²') return <><FigureButton figure={figure} /> {figure.unit}</>;
  return <><FigureButton figure={figure}>{formatRange(scaleRange(figure.value, fromCanonical(1, 'g')))}</FigureButton> g/m²</>;
}

/** What follows from the newest report, each figure with its working. */
export function DerivedFigures({ report, site }: { report: SoilReport; site: Site }) {
  const [goal, setGoal] = useState('6.5');
  const [school, setSchool] = useState<SodicSchool>('US');
  const read = parseNumber(goal);
  const pHGoal = read.ok && read.value >= 4 && read.value <= 9 ? read.value : undefined;
  const rows = useMemo(() => derive(report, site, pHGoal, school), [report, site, pHGoal, school]);
  return (
    <div className="mt-6">
      <div className="mb-2 flex flex-wrap items-end gap-4">
        <h3 className="mr-auto text-lg">What follows from the report of {report.sampledOn}</h3>
        <label className="text-sm text-faint">pH wanted<input className="field block !w-20 text-pine" inputMode="decimal" value={goal} aria-invalid={pHGoal === undefined} onChange={(e) => setGoal(e.target.value)} /></label>
        <div className="text-sm text-faint">Sodic by<div className="text-base text-pine"><Choice label="Sodic by" value={school} onChange={setSchool} options={[{ value: 'US', text: 'ESP 15 (US)' }, { value: 'Australia', text: 'ESP 6 (Australia)' }]} /></div></div>
      </div>
      {pHGoal === undefined && <p className="mb-2 text-sm text-beet">Read “{goal}”, expected a pH from 4 to 9.</p>}
      <table className="ledger" data-testid="derived">
        <caption className="sr-only">Figures worked out from the newest report</caption>
        <tbody>{rows.map(({ name, figure, lacks }) => <tr key={name}><th scope="row">{name}</th><td className="num">{figure ? <Shown figure={figure} /> : <span className="text-faint">needs {lacks}</span>}</td></tr>)}</tbody>
      </table>
      <div className="mt-3 flex flex-col gap-2">
        <Remark tone="note">Gypsum does not change pH appreciably; lime and sulfur do. Sulfur takes months to years and warm soil, and near living plants no more than about 50 g/m² at a time.</Remark>
        <Remark tone="caution">Powders: keep lime, sulfur and gypsum out of eyes and lungs. Follow the label and local code; ask a licensed adviser before large dressings.</Remark>
      </div>
    </div>
  );
}
