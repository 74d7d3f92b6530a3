import { useMemo, useState } from 'react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Trash2 } from 'lucide-react';
import {
  allows,
  capital,
  formatFixed,
  limitName,
  limitUnit,
  LIMITED,
  ruleWords,
  type BlendRule,
  type Limited,
  type Product,
} from '@wheat-ledger/core';
import { Reader } from '@wheat-ledger/contract';
import { useAppSelector } from '../app/store';
import { SelectField, TextField, type Option } from '../ui/Field';
import { usePrinting } from '../ui/usePrinting';
import { RuleSets } from './RuleSets';
import { readRule, newRule, ADDABLE, held, type RuleText } from './ruleText';
import type { RecipeText } from './recipeText';

const OF: readonly Option[] = LIMITED.map((of) => ({ value: of, text: limitName(of) }));

/** The fields a rule needs besides its kind; none for those that say all by themselves. */
function RuleFields({ at, rule, bags }: { at: string; rule: RuleText; bags: readonly Option[] }) {
  const unit = rule.kind === 'limit' ? limitUnit(rule.of as Limited) : '% of the mix';
  const bounds = (
    <>
      <TextField name={`${at}.low`} label={`At least${unit && `, ${unit}`}`} inputMode="decimal" className="w-36" />
      <TextField name={`${at}.high`} label={`At most${unit && `, ${unit}`}`} inputMode="decimal" className="w-36" />
    </>
  );
  switch (rule.kind) {
    case 'limit':
      return (
        <>
          <SelectField name={`${at}.of`} label="Of what" options={OF} className="w-44" />
          {bounds}
        </>
      );
    case 'share':
      return (
        <>
          <SelectField name={`${at}.productId`} label="Which bag" options={bags} className="w-56" />
          {bounds}
        </>
      );
    case 'leaveOut':
      return <SelectField name={`${at}.productId`} label="Which bag" options={bags} className="w-56" />;
    case 'kinds':
      return <TextField name={`${at}.most`} label="At most, materials" inputMode="numeric" className="w-36" />;
    case 'keep':
      return rule.what === 'local' ? (
        <TextField name={`${at}.km`} label="Within, km" inputMode="decimal" className="w-28" />
      ) : null;
    case 'apart':
    case 'stock':
    case 'packages':
      return null;
  }
}

interface RuleRowProps {
  readonly index: number;
  readonly products: readonly Product[];
  readonly nameOf: (productId: string) => string;
  readonly bags: readonly Option[];
  readonly price: string;
  readonly onRemove: () => void;
}
function RuleRow({ index, products, nameOf, bags, price, onRemove }: RuleRowProps) {
  const { control, register } = useFormContext<RecipeText>();
  const rule = useWatch({ control, name: `rules.${index}` });
  const read = useMemo(() => held(readRule(new Reader(), '', { ...rule, on: true })), [rule]);
  const words = read ? ruleWords(read, nameOf) : 'a rule that is not whole yet';
  return (
    <li className={`border-b border-rule py-2 ${rule.on ? '' : 'text-faint'}`} data-testid="rule">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <label className="flex min-w-64 flex-1 cursor-pointer items-center gap-2">
          <input type="checkbox" className="no-print size-4 accent-wheat" {...register(`rules.${index}.on`)} />
          <span className={rule.on ? '' : 'line-through'}>{words}</span>
        </label>
        <span className="num text-[0.9375rem]">{rule.on ? price : 'off'}</span>
        <button type="button" className="plain no-print" title={`Take out: ${words}`} onClick={onRemove}>
          <Trash2 size={16} aria-hidden="true" />
          <span className="sr-only">Take out: {words}</span>
        </button>
      </div>
      <div className="no-print flex flex-wrap items-start gap-x-3 pl-6 empty:hidden">
        <RuleFields at={`rules.${index}`} rule={rule} bags={bags} />
      </div>
      {read && rule.on && (
        <div className="pl-6">
          <LeftOut rule={read} products={products} />
        </div>
      )}
    </li>
  );
}

/** Which bags a rule leaves out, those of which nobody said what it needs to know apart. */
function LeftOut({ rule, products }: { rule: BlendRule; products: readonly Product[] }) {
  const { barred, unsaid } = useMemo(() => {
    const judged = products.map((p) => [p.name, allows(rule, p)] as const);
    const names = (answer: boolean | undefined): readonly string[] =>
      judged.flatMap(([name, is]) => (is === answer ? [name] : []));
    return { barred: names(false), unsaid: names(undefined) };
  }, [rule, products]);
  if (barred.length + unsaid.length === 0 || rule.kind === 'leaveOut') return null;
  const all = [
    barred.length > 0 ? `does not fit: ${barred.join(', ')}` : '',
    unsaid.length > 0 ? `nobody said, so it counts against it: ${unsaid.join(', ')}` : '',
  ].filter(Boolean);
  return (
    <details className="no-print text-sm text-faint">
      <summary className="cursor-pointer">
        leaves out {barred.length + unsaid.length} of {products.length} bags
        {unsaid.length > 0 && `, ${unsaid.length} for want of a word on it`}
      </summary>
      {all.map((words) => (
        <p key={words}>{capital(words)}.</p>
      ))}
    </details>
  );
}

/** Rules that a mix can have only one of. */
const ONCE: readonly string[] = ['apart', 'stock', 'packages'];
/** What a rule costs, in words. */
export function priceWords(extra: number | undefined, unit: string): string {
  if (extra === undefined) return '';
  if (extra === 0) return 'costs nothing here';
  if (extra < 0) return `saves ${formatFixed(-extra, 3)} ${unit}`;
  return `costs ${formatFixed(extra, 3)} ${unit}`;
}

interface RulesPartProps {
  /** What the mix may be made of. */
  readonly products: readonly Product[];
  readonly nameOf: (productId: string) => string;
  readonly bags: readonly Option[];
  /** Each rule of the list as it holds; undefined where it does not. */
  readonly holding: readonly (BlendRule | undefined)[];
  /** For each rule that is on, in their order, what it costs. */
  readonly prices: readonly (number | undefined)[];
  readonly together: number | undefined;
  readonly unit: string;
}
/** The rules of a mix in one line, which opens to a list that is read like sentences, each with its price. */
export function RulesPart({ products, holding, nameOf, bags, prices, together, unit }: RulesPartProps) {
  const { control } = useFormContext<RecipeText>();
  const { fields, append, remove } = useFieldArray({ control, name: 'rules' });
  const rules = useWatch({ control, name: 'rules' });
  const localKm = useAppSelector((s) => s.settings.localKm);
  const [open, setOpen] = useState(false);
  const printing = usePrinting();
  const used = new Set(rules.map((r) => (r.kind === 'keep' ? r.what : ONCE.includes(r.kind) ? r.kind : '')));
  // Prices are of the rules that hold.
  const priceAt = (i: number): number | undefined =>
    holding[i] && prices[holding.slice(0, i).filter((r) => r !== undefined).length];
  const told = holding.flatMap((r) => (r ? [ruleWords(r, nameOf)] : []));
  const off = rules.length - told.length;
  const list = (
    <ol>
      {fields.map((field, i) => (
        <RuleRow
          key={field.id}
          index={i}
          products={products}
          nameOf={nameOf}
          bags={bags}
          price={priceWords(priceAt(i), unit)}
          onRemove={() => remove(i)}
        />
      ))}
    </ol>
  );
  const summary = `${told.length === 0 ? 'No rule holds' : capital(told.join('; '))}${off > 0 ? ` (${off} more off)` : ''}. ${told.length > 1 && together !== undefined ? capital(`together ${priceWords(together, unit)}.`) : ''}`;
  const add = (key: string): void => {
    const rule = newRule(key, localKm);
    if (!rule) return;
    append(rule);
    setOpen(true);
  };
  return (
    <section className="mb-5" aria-label="Rules">
      {rules.length > 0 && printing && (
        <p>
          <b>Rules:</b> {summary}
        </p>
      )}
      {rules.length > 0 && !printing && (
        <details open={open} onToggle={(e) => setOpen(e.currentTarget.open)} data-testid="rules">
          <summary className="cursor-pointer">
            <b>Rules:</b> {summary}
          </summary>
          {list}
        </details>
      )}
      <select
        className="field no-print mt-2 !w-auto"
        aria-label="Add a rule"
        value=""
        onChange={(e) => add(e.target.value)}
      >
        <option value="">Add a rule …</option>
        {ADDABLE.filter(([key]) => !used.has(key)).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
      <RuleSets />
    </section>
  );
}
