import { useMemo } from 'react';
import { useFieldArray, useFormContext } from 'react-hook-form';
import { Trash2 } from 'lucide-react';
import {
  formatTrimmed,
  mixture,
  parseGrade,
  parseQuantity,
  ratioCheck,
  readParts,
  type Brief,
  type Component,
  type Grade,
  type Product,
  type TypedPart,
  writtenAsRatio,
} from '@wheat-ledger/core';
import { Reader, toOnePart } from '@wheat-ledger/contract';
import { useCounted } from '../app/counted';
import { useAppSelector } from '../app/store';
import { Choice } from '../ui/Choice';
import { SelectField, TextField } from '../ui/Field';
import { Empty, Remark } from '../ui/Sheet';
import { EqualDose } from './EqualDose';
import { MixtureSheet } from './MixtureSheet';
import { PartSlider } from './PartSlider';
import { PutOnShelf } from './PutOnShelf';
import { readPart, type PartText, type RecipeText } from './recipeText';
import { SwapPart } from './SwapPart';
import { TubLabel } from './TubLabel';
import { useBlend } from './useBlend';
import { partsOf, useTarget } from './useTarget';

function typedParts(text: RecipeText, shelf: readonly Product[]): readonly TypedPart[] {
  return text.parts.flatMap((part): TypedPart[] => {
    const product = shelf.find((p) => p.id === part.productId);
    const read = new Reader();
    const typed = part.parts.trim() === '' ? { parts: 0 } : readPart(read, '', part.parts);
    return product && read.problems.length === 0 && typed.parts > 0 ? [{ product, ...typed }] : [];
  });
}

const PLAIN: Brief = { rules: [], aim: 'cost' };
/** The same bags in the parts that meet what the recipe is meant to be. */
function Corrected({
  text,
  products,
  onUse,
}: {
  text: RecipeText;
  products: readonly Product[];
  onUse: (parts: readonly PartText[]) => void;
}) {
  const { target } = useTarget(text);
  const { latest: found } = useBlend(products, target, PLAIN).blend;
  if (!target || !found) return null;
  if (found.kind !== 'recipe')
    return (
      <p className="mb-3" data-testid="corrected">
        These bags alone cannot be {text.target.trim()}: see “From a target” for what could.
      </p>
    );
  const parts = partsOf(found.mixture);
  const nameOf = (id: string): string => products.find((p) => p.id === id)?.name ?? '';
  return (
    <p className="mb-3" data-testid="corrected">
      To be {text.target.trim()}, these bags would have to be, by weight:{' '}
      {parts.map((p) => `${p.parts} ${nameOf(p.productId)}`).join(', ')}.{' '}
      <button type="button" className="plain no-print" onClick={() => onUse(parts)}>
        Take these parts
      </button>
    </p>
  );
}

/** What the mix is against a ratio: which nutrient is short, and by what factor. */
function AgainstRatio({ components, asked }: { components: readonly Component[]; asked: Grade }) {
  const { now, short } = useMemo(() => ratioCheck(components, asked), [components, asked]);
  const ratio = (of: (part: (typeof now)[number]) => number): string =>
    now.map((part) => formatTrimmed(of(part), 3)).join(' : ');
  return (
    <p className="mb-3" data-testid="against-ratio">
      Meant to be {ratio((p) => p.asked)} ({now.map((p) => p.symbol).join(' : ')}), it is {ratio((p) => p.parts)}.{' '}
      {short.length === 0
        ? 'The ratio is as asked.'
        : short
            .map(({ symbol, factor, ingredient }) =>
              ingredient === undefined
                ? `${symbol} is missing: none of these ingredients brings it.`
                : `${symbol} is short: it takes ${formatTrimmed(factor, 3)} times as much ${symbol}, most of which comes from ${ingredient}.`,
            )
            .join(' ')}
    </p>
  );
}

/** What the parts really are, with what else can be done about them. */
function Checked({
  text,
  components,
  products,
  shelf,
}: {
  text: RecipeText;
  components: readonly Component[];
  products: readonly Product[];
  shelf: readonly Product[];
}) {
  const { setValue } = useFormContext<RecipeText>();
  const massUnit = useAppSelector((s) => s.settings.massUnit);
  const parsed = text.target.trim() === '' || text.strength === 'amount' ? undefined : parseGrade(text.target);
  // 2:0:1 fixes the ratio alone: it is no 2 % of nitrogen.
  const isRatio = text.strength === 'ratio' || (text.strength !== 'amount' && writtenAsRatio(text.target));
  const asGrade = parsed?.kind === 'one' && !isRatio ? parsed.grade : undefined;
  const meant = useMemo((): RecipeText => (isRatio ? { ...text, strength: 'ratio' } : text), [isRatio, text]);
  const batch = parseQuantity(text.batch, 'mass', 'kg');
  const batchKg = batch.ok && batch.value > 0 ? batch.value * batch.unit.factor : 10;
  const mix = useMemo(() => mixture(components), [components]);
  const take = (parts: readonly PartText[]): void => {
    setValue('parts', [...parts], { shouldDirty: true });
    setValue('by', 'weight');
  };
  return (
    <>
      {parsed?.kind === 'one' && isRatio && <AgainstRatio components={components} asked={parsed.grade} />}
      <Corrected text={meant} products={products} onUse={take} />
      {asGrade && <EqualDose mix={mix} target={asGrade} named={text.target.trim()} />}
      <MixtureSheet mix={mix} batchKg={batchKg} target={asGrade} massUnit={massUnit} />
      <TubLabel name={text.name.trim() || 'A mix'} mix={mix} />
      <SwapPart
        mix={mix}
        batchKg={batchKg}
        shelf={shelf}
        massUnit={massUnit}
        onTake={(found) => take(partsOf(mixture(found.components)))}
      />
      <PutOnShelf name={text.name} mix={mix} />
    </>
  );
}

/** From parts to the analysis that really results. */
export function CheckParts({ text, shelf: bags }: { text: RecipeText; shelf: readonly Product[] }) {
  const shelf = useCounted(bags);
  const { control, setValue } = useFormContext<RecipeText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'parts' });
  // The same bags are the same list, whatever their parts.
  const ids = text.parts.map((p) => p.productId).join();
  const products = useMemo(() => shelf.filter((p) => ids.split(',').includes(p.id)), [ids, shelf]);
  const by = text.by === 'volume' ? 'volume' : 'weight';
  const reading = useMemo(() => {
    const parts = typedParts(text, shelf);
    return parts.length > 0 ? readParts(parts, by, toOnePart(text.onePart)) : undefined;
  }, [text, shelf, by]);
  const amounts = text.parts.filter((p) => p.parts.trim() !== '').map((p) => /\p{L}/u.test(p.parts));
  const mixed = text.onePart !== '' || (amounts.includes(true) && amounts.includes(false));
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
        {mixed && <TextField name="onePart" label="One part is" placeholder="1 US cup" className="w-32" />}
        <TextField name="batch" label="Batch" className="w-28" />
        <TextField name="target" label="Meant to be (if anything)" placeholder="5-3-4" className="w-44" />
      </div>
      <ul className="no-print mb-2 flex flex-col gap-1.5">
        {fields.map((field, i) => (
          <li key={field.id} className="flex flex-wrap items-center gap-2">
            <TextField name={`parts.${i}.parts`} label={`Part ${i + 1}, how many or how much`} bare className="w-32" />
            <span className="hidden pt-1.5 text-faint sm:inline">
              {/\p{L}/u.test(text.parts[i]?.parts ?? '') ? 'of' : by === 'weight' ? 'by weight of' : 'by volume of'}
            </span>
            <SelectField
              name={`parts.${i}.productId`}
              label={`Part ${i + 1}, of which bag`}
              bare
              options={options}
              className="min-w-52 flex-1"
            />
            <PartSlider
              label={`Move part ${i + 1}`}
              text={text.parts[i]?.parts ?? ''}
              onMove={(parts) => setValue(`parts.${i}.parts`, parts, { shouldDirty: true })}
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
        {reading?.kind === 'needsPart' && (
          <Remark tone="note">
            Some are parts and some are amounts: say what one part is, such as 1 US cup or 50 g.
          </Remark>
        )}
        {reading?.kind === 'needsDensity' && (
          <Remark tone="caution">
            By volume, a part weighs its density, and {reading.products.join(', ')}{' '}
            {reading.products.length === 1 ? 'has' : 'have'} none. Enter it on the shelf, or measure by weight.
          </Remark>
        )}
        {reading?.kind === 'components' && (
          <Checked text={text} components={reading.components} products={products} shelf={shelf} />
        )}
      </div>
    </>
  );
}
