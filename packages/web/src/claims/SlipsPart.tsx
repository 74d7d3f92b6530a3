import { useFieldArray, useFormContext } from 'react-hook-form';
import { Trash2 } from 'lucide-react';
import { analyteName, NUTRIENTS, shortBag, type Product, type Slips } from '@wheat-ledger/core';
import { FormPart } from '../ui/EditForm';
import { DayField, SelectField, TextField } from '../ui/Field';
import { answerInk } from './verdictInk';
import { blankSlip, type ClaimText } from './claimText';

/** Elements that the label of a bag guarantees, before all others. */
function elementOptions(product: Product) {
  const declared = new Set<string>(product.analysis.filter((l) => l.provenance === 'label').map((l) => l.analyte));
  const first = NUTRIENTS.filter((n) => declared.has(n));
  return [...first, ...NUTRIENTS.filter((n) => !declared.has(n))].map((n) => ({ value: n, text: analyteName(n) }));
}

/** What the lots say, alone and together. */
export function SlipsAnswer({ product, slips }: { product: Product; slips: Slips }) {
  const found = shortBag(product, slips);
  return (
    <div className="mt-2 text-[0.9375rem]" data-testid="slips">
      <ul className="ml-5 list-disc">
        {found.findings.map((f, i) => (
          <li key={i}>{f.text}</li>
        ))}
      </ul>
      <p className={`font-semibold ${answerInk(found.answer)}`}>{found.text}</p>
    </div>
  );
}

/** Is this bag short? Lab slips against what the label guarantees. */
export function SlipsPart({ product, slips }: { product: Product; slips: Slips | undefined }) {
  const { control } = useFormContext<ClaimText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'slips' });
  const elements = elementOptions(product);
  const at = (i: number, field: string): { name: string; bare: true } => ({ name: `slips.${i}.${field}`, bare: true });
  return (
    <FormPart title="Is this bag short?" hint="lab slips against the guarantee, in the unit of the label">
      <ul className="no-print flex flex-col gap-2">
        {fields.map((field, i) => (
          <li key={field.id} className="flex flex-wrap items-start gap-2" data-testid="slip">
            <SelectField {...at(i, 'nutrient')} label={`Slip ${i + 1}, element`} options={elements} className="w-36" />
            <TextField
              {...at(i, 'found')}
              label={`Slip ${i + 1}, found`}
              inputMode="decimal"
              placeholder="found"
              className="w-24"
            />
            <TextField
              {...at(i, 'error')}
              label={`Slip ${i + 1}, give or take`}
              inputMode="decimal"
              placeholder="± error"
              className="w-24"
            />
            <TextField {...at(i, 'lot')} label={`Slip ${i + 1}, lot`} placeholder="lot" className="w-24" />
            <TextField
              {...at(i, 'laboratory')}
              label={`Slip ${i + 1}, laboratory`}
              placeholder="laboratory"
              className="w-36"
            />
            <DayField {...at(i, 'on')} label={`Slip ${i + 1}, day`} className="w-32" />
            <button type="button" className="cursor-pointer p-2" onClick={() => remove(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Remove slip {i + 1}</span>
            </button>
          </li>
        ))}
      </ul>
      <div className="no-print mt-1 flex flex-wrap items-end gap-4">
        <button type="button" className="plain pb-1.5" onClick={() => append(blankSlip(elements[0]?.value))}>
          Add a lab slip
        </button>
        {fields.length > 0 && (
          <TextField
            name="tolerance"
            label="Local code allows it to be short by, %"
            inputMode="decimal"
            placeholder="0"
            className="w-60"
          />
        )}
      </div>
      {slips && slips.slips.length > 0 && <SlipsAnswer product={product} slips={slips} />}
    </FormPart>
  );
}
