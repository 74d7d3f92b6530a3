import { useMemo } from 'react';
import { useFieldArray, useFormContext } from 'react-hook-form';
import { Trash2 } from 'lucide-react';
import {
  mixture,
  parseGrade,
  parseNumber,
  parseQuantity,
  readParts,
  type Product,
  type TypedPart,
} from '@wheat-ledger/core';
import { useAppSelector } from '../app/store';
import { Choice } from '../ui/Choice';
import { SelectField, TextField } from '../ui/Field';
import { Empty, Remark } from '../ui/Sheet';
import { MixtureSheet } from './MixtureSheet';
import type { RecipeText } from './recipeText';

function typedParts(text: RecipeText, shelf: readonly Product[]): readonly TypedPart[] {
  return text.parts.flatMap((part): TypedPart[] => {
    const product = shelf.find((p) => p.id === part.productId);
    const read = parseNumber(part.parts);
    return product && read.ok && read.value > 0 ? [{ product, parts: read.value }] : [];
  });
}

/** From parts to the analysis that really results. */
export function CheckParts({ text, shelf }: { text: RecipeText; shelf: readonly Product[] }) {
  const { control, setValue } = useFormContext<RecipeText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'parts' });
  const massUnit = useAppSelector((s) => s.settings.massUnit);
  const by = text.by === 'volume' ? 'volume' : 'weight';
  const reading = useMemo(() => {
    const parts = typedParts(text, shelf);
    return parts.length > 0 ? readParts(parts, by) : undefined;
  }, [text, shelf, by]);
  const parsed = text.target.trim() === '' ? undefined : parseGrade(text.target);
  const batch = parseQuantity(text.batch, 'mass', 'kg');
  const options = [{ value: '', text: 'choose a bag' }, ...shelf.map((p) => ({ value: p.id, text: p.name }))];
  return (
    <>
      <div className="no-print mb-3 flex flex-wrap items-start gap-4">
        <div className="text-sm text-faint">
          Parts are measured
          <div className="text-base text-pine">
            <Choice
              label="Parts are measured"
              value={by}
              onChange={(v) => setValue('by', v)}
              options={[
                { value: 'weight', text: 'by weight' },
                { value: 'volume', text: 'by volume' },
              ]}
            />
          </div>
        </div>
        <TextField name="batch" label="Batch" className="w-28" />
        <TextField name="target" label="Meant to be (if anything)" placeholder="5-3-4" className="w-44" />
      </div>
      <ul className="no-print mb-2 flex flex-col gap-1.5">
        {fields.map((field, i) => (
          <li key={field.id} className="flex items-start gap-2">
            <TextField
              name={`parts.${i}.parts`}
              label={`Part ${i + 1}, how many`}
              bare
              className="w-24"
              inputMode="decimal"
            />
            <span className="hidden pt-1.5 text-faint sm:inline">
              {by === 'weight' ? 'by weight of' : 'by volume of'}
            </span>
            <SelectField
              name={`parts.${i}.productId`}
              label={`Part ${i + 1}, of which bag`}
              bare
              options={options}
              className="min-w-52 flex-1"
            />
            <button type="button" className="cursor-pointer p-2" onClick={() => remove(i)}>
              <Trash2 size={15} aria-hidden="true" />
              <span className="sr-only">Remove part {i + 1}</span>
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="action no-print mb-5" onClick={() => append({ productId: '', parts: '1' })}>
        Add a part
      </button>
      <div aria-live="polite">
        {!reading && <Empty>Type the parts of a recipe you have to see what it really is.</Empty>}
        {reading?.kind === 'needsDensity' && (
          <Remark tone="caution">
            By volume, a part weighs its density, and {reading.products.join(', ')}{' '}
            {reading.products.length === 1 ? 'has' : 'have'} none. Enter it on the shelf, or measure by weight.
          </Remark>
        )}
        {reading?.kind === 'components' && (
          <MixtureSheet
            mix={mixture(reading.components)}
            batchKg={batch.ok && batch.value > 0 ? batch.value * batch.unit.factor : 10}
            target={parsed?.kind === 'one' ? parsed.grade : undefined}
            massUnit={massUnit}
          />
        )}
      </div>
    </>
  );
}
