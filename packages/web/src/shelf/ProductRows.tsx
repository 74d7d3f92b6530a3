import { Trash2 } from 'lucide-react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { blankDirection, blankLine, blankOffer, type LineText, type ProductText } from '@wheat-ledger/contract';
import {
  ANALYSIS_UNITS,
  ANALYTES,
  analyteName,
  basesOf,
  basisWord,
  formulaText,
  PROVENANCES,
  type Analyte,
} from '@wheat-ledger/core';
import { DayField, SelectField, TextField } from '../ui/Field';

/** Choices for a select. */
export const options = (values: readonly string[], text: (value: string) => string = (v) => v) =>
  values.map((value) => ({ value, text: text(value) }));
/** The longest names cut to what a narrow choice can show. */
const SHORT_FORMS: Readonly<Partial<Record<Analyte, string>>> = {
  'N.coated': 'coated, slow N',
  'N.waterSolubleOrganic': 'soluble organic N',
};
const ANALYTE_OPTIONS = options(ANALYTES, (a) =>
  a.startsWith('N.')
    ? `– ${SHORT_FORMS[a as Analyte] ?? analyteName(a as Analyte)}`
    : `${a} ${analyteName(a as Analyte)}`,
);

/** The bases of a line; what only an extract holds is offered for measured figures, and stays where it was chosen. */
function basisOptions(line: LineText | undefined) {
  const bases = basesOf((line?.analyte ?? 'N') as Analyte);
  const extracts = line?.provenance === 'measured' || line?.basis.endsWith('available');
  return [
    ...options(bases, formulaText),
    ...(extracts ? bases.map((b) => ({ value: basisWord(b, 'available'), text: `${formulaText(b)}, extract` })) : []),
  ];
}

/** The lines of the analysis, as declared. */
export function AnalysisRows() {
  const { control } = useFormContext<ProductText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'analysis' });
  const lines = useWatch({ control, name: 'analysis' });
  return (
    <>
      {/* Positioned, so that labels for screen readers stay inside what scrolls. */}
      <div className="relative overflow-x-auto">
        <table className="w-full min-w-[46rem] border-separate border-spacing-x-1 border-spacing-y-0.5 [&_td]:align-top">
          <thead>
            <tr className="text-left text-[0.8125rem] text-faint">
              {['Nutrient or form', 'As declared', 'Unit', 'Given as', 'From', 'Source', ''].map((h) => (
                <th key={h} className="font-semibold">
                  {h || <span className="sr-only">Remove</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {fields.map((field, i) => {
              const at = (part: string): string => `analysis.${i}.${part}`;
              return (
                <tr key={field.id}>
                  <td className="w-[27%]">
                    <SelectField
                      name={at('analyte')}
                      label={`Line ${i + 1}, nutrient`}
                      bare
                      options={ANALYTE_OPTIONS}
                    />
                  </td>
                  <td className="w-[12%]">
                    <TextField name={at('value')} label={`Line ${i + 1}, value`} bare placeholder="5 or 4–6" />
                  </td>
                  <td className="w-[13%]">
                    <SelectField
                      name={at('unit')}
                      label={`Line ${i + 1}, unit`}
                      bare
                      options={options(ANALYSIS_UNITS)}
                    />
                  </td>
                  <td className="w-[13%]">
                    <SelectField
                      name={at('basis')}
                      label={`Line ${i + 1}, given as`}
                      bare
                      options={basisOptions(lines[i])}
                    />
                  </td>
                  <td className="w-[15%]">
                    <SelectField
                      name={at('provenance')}
                      label={`Line ${i + 1}, from`}
                      bare
                      options={options(PROVENANCES)}
                    />
                  </td>
                  <td>
                    <TextField name={at('source')} label={`Line ${i + 1}, source`} bare />
                  </td>
                  <td>
                    <RowRemover what={`line ${i + 1}`} onClick={() => remove(i)} />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <button type="button" className="plain mt-1" onClick={() => append(blankLine('Ca'))}>
        Another line
      </button>
    </>
  );
}

const RowRemover = ({ what, onClick }: { what: string; onClick: () => void }) => (
  <button type="button" className="cursor-pointer p-2" onClick={onClick} title={`Remove ${what}`}>
    <Trash2 size={15} aria-hidden="true" />
    <span className="sr-only">Remove {what}</span>
  </button>
);

/** Package sizes, each with who asked what for it and when. */
export function OfferRows() {
  const { control } = useFormContext<ProductText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'offers' });
  return (
    <>
      {fields.map((field, i) => (
        <div
          key={field.id}
          className="mb-2 grid grid-cols-2 items-start gap-2 sm:grid-cols-[1.1fr_0.9fr_4.5rem_1.1fr_1.1fr_2rem] [&>*]:min-w-0"
        >
          <TextField
            name={`offers.${i}.size`}
            label={i === 0 ? 'Package' : `Package ${i + 1}`}
            placeholder="20 kg, 50 lb, 1 L"
          />
          <TextField name={`offers.${i}.price`} label="Price" placeholder="24.90" inputMode="decimal" />
          <TextField name={`offers.${i}.currency`} label="Currency" placeholder="EUR" />
          <DayField name={`offers.${i}.seenOn`} label="Seen on" />
          <TextField name={`offers.${i}.seller`} label="Asked by" placeholder="the seller" />
          <span className="pt-5">
            <RowRemover what={`package ${i + 1}`} onClick={() => remove(i)} />
          </span>
        </div>
      ))}
      <button type="button" className="plain" onClick={() => append(blankOffer())}>
        Another package
      </button>
    </>
  );
}

/** The label's rates, each with what it is for. */
export function DirectionRows() {
  const { control } = useFormContext<ProductText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'directions' });
  return (
    <>
      {fields.map((field, i) => (
        <div
          key={field.id}
          className="mb-2 grid grid-cols-2 items-start gap-2 sm:grid-cols-[1.4fr_1.6fr_6rem_2rem] [&>*]:min-w-0"
        >
          <TextField
            name={`directions.${i}.amount`}
            label={i === 0 ? 'Rate, one application' : `Rate ${i + 1}`}
            placeholder="50 g/m², 20 g/plant, 5 mL/L"
          />
          <TextField name={`directions.${i}.use`} label="For" placeholder="new beds" />
          <TextField name={`directions.${i}.perYear`} label="Times a year" placeholder="not said" inputMode="numeric" />
          <span className="pt-5">
            <RowRemover what={`rate ${i + 1}`} onClick={() => remove(i)} />
          </span>
        </div>
      ))}
      <button type="button" className="plain" onClick={() => append(blankDirection())}>
        Another rate
      </button>
    </>
  );
}
