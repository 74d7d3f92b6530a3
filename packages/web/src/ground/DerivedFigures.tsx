import { useMemo, useState } from 'react';
import { formatRange, fromCanonical, parseNumber, scaleRange, soilImplications, type Figure, type Site, type SodicSchool, type SoilReport } from '@wheat-ledger/core';
import { Choice } from '../ui/Choice';
import { FigureButton } from '../ui/FigureButton';
import { Remark } from '../ui/Sheet';

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
  const rows = useMemo(() => soilImplications(report, site, pHGoal, school), [report, site, pHGoal, school]);
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
