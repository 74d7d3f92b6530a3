import { useMemo, useState } from 'react';
import { format } from 'date-fns';
import { ofToday, plainChanges, toProduct, type ProductInput, type ProductRecord } from '@wheat-ledger/contract';
import {
  analyteName,
  CHANGE_WORDS,
  compareLabels,
  type FigureChange,
  type Product,
  type Reading,
} from '@wheat-ledger/core';
import { useRecordHistoryQuery, useRecords } from '../app/api';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Sheet } from '../ui/Sheet';
import { amountWords } from './amountWords';
import { BagPages, useBagPage } from './BagPages';

interface Version {
  readonly key: string;
  readonly words: string;
  readonly product: Product;
  readonly input: ProductInput;
}

/** How the bag stood after each change, the newest first, and every other bag. */
function useVersions(record: ProductRecord): { readonly own: readonly Version[]; readonly others: readonly Version[] } {
  const { data } = useRecordHistoryQuery({ recordId: record.id });
  const { records } = useRecords('product');
  return useMemo(() => {
    const entries = (data?.items ?? []).filter((e) => e.after && (e.action === 'create' || e.action === 'update'));
    const own = entries.map((e, i): Version => {
      const input = ofToday('product', e.after as object) as ProductInput;
      return {
        key: e.id,
        words: `${i === 0 ? 'today’s, since' : 'as of'} ${format(new Date(e.at), 'd MMM yyyy, HH:mm')}`,
        product: toProduct(input, record.id),
        input,
      };
    });
    const others = records
      .filter((r) => r.id !== record.id)
      .map((r): Version => ({ key: r.id, words: r.name, product: toProduct(r, r.id), input: r }));
    return {
      own:
        own.length > 0
          ? own
          : [{ key: 'today', words: 'today’s', product: toProduct(record, record.id), input: record }],
      others,
    };
  }, [data, records, record]);
}

function Shown({ reading }: { reading: Reading }) {
  if (reading.kind === 'figure')
    return <FigureButton figure={reading.figure}>{amountWords(reading.figure.value, false)}</FigureButton>;
  if (reading.kind === 'below')
    return <FigureButton figure={reading.limit}>{amountWords(reading.limit.value, true)}</FigureButton>;
  return <span className="text-faint">{reading.kind === 'needsDensity' ? 'needs a density' : 'not declared'}</span>;
}
const inkOf = (change: FigureChange['change']): string =>
  change === 'same' || change === 'tie'
    ? 'text-faint'
    : change === 'less' || change === 'dropped'
      ? 'font-semibold text-beet'
      : 'font-semibold';

function Picker({
  label,
  value,
  own,
  others,
  onPick,
}: {
  label: string;
  value: string;
  own: readonly Version[];
  others: readonly Version[];
  onPick: (key: string) => void;
}) {
  return (
    <label className="min-w-0 text-sm text-faint">
      {label}
      <select
        aria-label={label}
        className="field block text-pine"
        value={value}
        onChange={(e) => onPick(e.target.value)}
      >
        {value === '' && <option value="">choose a version or a bag</option>}
        <optgroup label="This bag">
          {own.map((v) => (
            <option key={v.key} value={v.key}>
              {v.words}
            </option>
          ))}
        </optgroup>
        {others.length > 0 && (
          <optgroup label="Another bag">
            {others.map((v) => (
              <option key={v.key} value={v.key}>
                {v.words}
              </option>
            ))}
          </optgroup>
        )}
      </select>
    </label>
  );
}

/** What the maker changed: two versions of a label side by side, or two bags. */
export function VersionsView() {
  const page = useBagPage();
  if ('instead' in page) return page.instead;
  return <BagVersions key={page.record.id} record={page.record} />;
}

function BagVersions({ record }: { record: ProductRecord }) {
  const { own, others } = useVersions(record);
  const [picked, setPicked] = useState<{ before?: string; after?: string }>({});
  const find = (key: string | undefined): Version | undefined => [...own, ...others].find((v) => v.key === key);
  const after = find(picked.after) ?? own[0];
  const before = find(picked.before) ?? own[1];
  const comparison = before && after && compareLabels(before.product, after.product);
  const words = comparison ? [...comparison.words, ...plainChanges(before.input, after.input)] : [];
  const changes = comparison
    ? comparison.figures.filter((f) => f.change !== 'same' && f.change !== 'tie').length + words.length
    : 0;
  return (
    <Sheet title={record.name} question="What did the maker change?">
      <BagPages id={record.id} />
      <div className="mb-4 grid gap-3 sm:grid-cols-2">
        <Picker
          label="Before"
          value={before?.key ?? ''}
          own={own}
          others={others}
          onPick={(key) => setPicked({ ...picked, before: key })}
        />
        <Picker
          label="After"
          value={after?.key ?? ''}
          own={own}
          others={others}
          onPick={(key) => setPicked({ ...picked, after: key })}
        />
      </div>
      {!comparison ? (
        <Empty>
          This bag has one version so far. When its label is changed and saved, both are compared here. Or choose
          another bag to compare it with.
        </Empty>
      ) : (
        <>
          <p className="mb-3 text-[1.0625rem]" data-testid="version-summary">
            {changes === 0
              ? 'No difference is shown.'
              : changes === 1
                ? '1 thing differs.'
                : `${changes} things differ.`}
          </p>
          <div className="relative overflow-x-auto">
            <table className="ledger" data-testid="version-figures">
              <caption className="pb-1 text-left text-sm text-faint">
                Every nutrient by its element, whatever basis and unit either label uses
              </caption>
              <thead>
                <tr>
                  <th scope="col">Nutrient</th>
                  <th scope="col" className="num">
                    before
                  </th>
                  <th scope="col" className="num">
                    after
                  </th>
                  <th scope="col">so it is</th>
                </tr>
              </thead>
              <tbody>
                {comparison.figures.map((f) => (
                  <tr key={f.analyte}>
                    <th scope="row">{analyteName(f.analyte)}</th>
                    <td className="num">
                      <Shown reading={f.before} />
                    </td>
                    <td className="num">
                      <Shown reading={f.after} />
                    </td>
                    <td className={inkOf(f.change)}>{CHANGE_WORDS[f.change]}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          {words.length > 0 && (
            <div className="relative mt-5 overflow-x-auto">
              <table className="ledger" data-testid="version-words">
                <caption className="pb-1 text-left text-sm text-faint">What else differs</caption>
                <tbody>
                  {words.map((w) => (
                    <tr key={w.what}>
                      <th scope="row">{w.what}</th>
                      <td>{w.before || <span className="text-faint">nothing</span>}</td>
                      <td>{w.after || <span className="text-faint">nothing</span>}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          )}
        </>
      )}
      <MarginNotes>
        <MarginNote title="Where versions come from">
          <p>
            Every time this bag is saved, the book keeps how it stood. Enter the new label over the old one; nothing is
            lost.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
