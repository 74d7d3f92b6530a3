import { Fragment, useState } from 'react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Plus, Trash2 } from 'lucide-react';
import {
  asSchool,
  equalAmount,
  formatTrimmed,
  midSupply,
  parseAmount,
  parseWhen,
  printAmount,
  printWhen,
  scaledAmount,
  SCHOOL_WORDS,
  SCHOOLS,
  type Application,
  type Product,
} from '@wheat-ledger/core';
import { SelectField, TextField, type Option } from '../ui/Field';
import { Empty } from '../ui/Sheet';
import { blankDoing, DEPTH_LABELS, WHERES, type ProgrammeText } from './programmeText';
import { rateText } from './useMoves';

/** Half of a row's six columns on a wide screen, so that a dose and a time stand there whole; a third for what is short. */
const WIDE = 'col-span-2 lg:col-span-3';
const SHORT = 'lg:col-span-2';

/** Once another bag is chosen: as much nitrogen of it as the bag before brought. */
function AsMuchAsBefore({ at, bags }: { at: number; bags: readonly Product[] }) {
  const { control, setValue } = useFormContext<ProgrammeText>();
  const { what, amount } = useWatch({ control, name: `applications.${at}` });
  const [first, setFirst] = useState({ what, amount });
  const bagOf = (value: string): Product | undefined => bags.find((b) => `product ${b.id}` === value);
  const [from, to] = [bagOf(first.what), bagOf(what)];
  const read = parseAmount(first.amount);
  if (what === first.what || !from || !to || !read.ok) return null;
  const factor = equalAmount(1, midSupply(from, 'N'), midSupply(to, 'N'));
  if (factor === undefined) return null;
  const then = printAmount(scaledAmount(read.amount, factor));
  if (then === amount) return null;
  const take = (): void => {
    setValue(`applications.${at}.amount`, then, { shouldDirty: true, shouldValidate: true });
    setFirst({ what, amount: then });
  };
  return (
    <p className="col-span-full text-sm text-faint">
      {from.name} brought as much nitrogen as{' '}
      <button type="button" className="plain" onClick={take}>
        {then}
      </button>{' '}
      of {to.name}.
    </p>
  );
}

/** Other ways of giving the same total, for a row that is given again and again. */
function Schools({ at, fruitSet }: { at: number; fruitSet: string | undefined }) {
  const { control, setValue } = useFormContext<ProgrammeText>();
  const { amount: amountText, when: whenText } = useWatch({ control, name: `applications.${at}` });
  const [amount, when] = [parseAmount(amountText), parseWhen(whenText)];
  if (!amount.ok || !when.ok || when.when.kind !== 'repeat') return null;
  const now: Application = { amount: amount.amount, when: when.when, where: { kind: 'surface' }, part: { share: 1 } };
  const others = SCHOOLS.map((school) => ({ school, then: asSchool(now, school, fruitSet) })).filter(
    ({ then }) => printWhen(then.when) !== printWhen(now.when),
  );
  const take = (then: Application): void => {
    const options = { shouldDirty: true, shouldValidate: true };
    setValue(`applications.${at}.amount`, printAmount(then.amount), options);
    setValue(`applications.${at}.when`, printWhen(then.when), options);
  };
  return (
    <p className="col-span-full text-sm text-faint">
      The same in all, but{' '}
      {others.map(({ school, then }, i) => (
        <Fragment key={school}>
          {i > 0 && ', '}
          <button type="button" className="plain" title={printAmount(then.amount)} onClick={() => take(then)}>
            {SCHOOL_WORDS[school]}
          </button>
        </Fragment>
      ))}
    </p>
  );
}

interface RowProps {
  readonly index: number;
  readonly options: readonly Option[];
  readonly bags: readonly Product[];
  readonly fruitSet: string | undefined;
  readonly onRemove: () => void;
}
function Row({ index, options, bags, fruitSet, onRemove }: RowProps) {
  const { control } = useFormContext<ProgrammeText>();
  const row = useWatch({ control, name: `applications.${index}` });
  const depth = DEPTH_LABELS[row.where];
  const at = `applications.${index}`;
  return (
    <li className="border-b border-rule py-3" data-testid="doing">
      <div className="flex items-start gap-3">
        <span className="mt-6 grid size-6 shrink-0 place-items-center rounded-full bg-wheat text-sm font-bold text-on-wheat">
          {index + 1}
        </span>
        <div className="grid min-w-0 flex-1 grid-cols-2 gap-x-3 gap-y-2 lg:grid-cols-6">
          <SelectField name={`${at}.what`} label="What" options={options} className={WIDE} />
          <TextField name={`${at}.amount`} label="How much" placeholder="40 g/m²" className={WIDE} />
          <TextField name={`${at}.when`} label="When" placeholder="20 days after planting" className={WIDE} />
          <SelectField name={`${at}.where`} label="Where it goes" options={WHERES} className={WIDE} />
          {depth && (
            <TextField
              name={`${at}.depth`}
              label={depth}
              placeholder={row.where === 'ring' ? '20 cm to 60 cm' : '15 cm'}
              className={SHORT}
            />
          )}
          <TextField name={`${at}.share`} label="On how much" placeholder="all" className={SHORT} />
          <TextField
            name={`${at}.plants`}
            label="Plants there"
            placeholder="by spacing"
            inputMode="numeric"
            className={SHORT}
          />
          <AsMuchAsBefore at={index} bags={bags} />
          <Schools at={index} fruitSet={fruitSet} />
        </div>
        <button type="button" className="plain no-print mt-6" title={`Take row ${index + 1} out`} onClick={onRemove}>
          <Trash2 size={17} aria-hidden="true" />
          <span className="sr-only">Take row {index + 1} out</span>
        </button>
      </div>
    </li>
  );
}

interface ProgrammeRowsProps {
  readonly options: readonly Option[];
  /** Every bag that may stand in a row. */
  readonly bags: readonly Product[];
  /** Bags on the bench that bring nitrogen, and what the crop needs of it, kg/ha. */
  readonly bench: readonly Product[];
  readonly need: number | undefined;
  /** The day its fruit sets, where that is known. */
  readonly fruitSet: string | undefined;
}
/** The rows of a programme, to be added to and taken from. */
export function ProgrammeRows({ options, bags, bench, need, fruitSet }: ProgrammeRowsProps) {
  const { control } = useFormContext<ProgrammeText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'applications' });
  return (
    <>
      {fields.length === 0 && (
        <Empty>Nothing is given yet: that is a programme too, and the one to compare with.</Empty>
      )}
      <ol>
        {fields.map((field, i) => (
          <Row key={field.id} index={i} options={options} bags={bags} fruitSet={fruitSet} onRemove={() => remove(i)} />
        ))}
      </ol>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <button type="button" className="action" onClick={() => append(blankDoing(options[0]?.value ?? 'water'))}>
          <Plus size={16} aria-hidden="true" />
          Add a row
        </button>
        {need !== undefined && bench.length > 0 && (
          <select
            className="field !w-auto"
            aria-label="Add from the bench, all the nitrogen the crop needs"
            value=""
            onChange={(e) => {
              const product = bench.find((b) => b.id === e.target.value);
              if (product) append({ ...blankDoing(`product ${product.id}`), amount: rateText(product, need) });
            }}
          >
            <option value="">From the bench, {formatTrimmed(need, 3)} kg N/ha of …</option>
            {bench.map((b) => (
              <option key={b.id} value={b.id}>
                {b.name}
              </option>
            ))}
          </select>
        )}
      </div>
    </>
  );
}
