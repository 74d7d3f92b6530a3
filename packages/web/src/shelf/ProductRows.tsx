import { Trash2 } from 'lucide-react';
import { useFieldArray, useFormContext } from 'react-hook-form';
import { blankDirection, blankOffer, type ProductText } from '@wheat-ledger/contract';
import { DayField, TextField } from '../ui/Field';

/** Choices for a select. */
export const options = (values: readonly string[], text: (value: string) => string = (v) => v) =>
  values.map((value) => ({ value, text: text(value) }));
/** Takes one of several rows out. */
export const RowRemover = ({ what, onClick }: { what: string; onClick: () => void }) => (
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
