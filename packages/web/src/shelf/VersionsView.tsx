import { useMemo, useState } from 'react';
import { ofToday, plainChanges, toProduct, type ProductInput, type ProductRecord } from '@wheat-ledger/contract';
import { compareLabels, type Product } from '@wheat-ledger/core';
import { useRecordHistoryQuery, useRecords } from '../app/api';
import { ComparedFigures, ComparedWords, differWords } from '../ui/ComparedFigures';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Sheet } from '../ui/Sheet';
import { VersionPicker, versionsOf, type Version } from '../ui/VersionPicker';
import { BagPages, useBagPage } from './BagPages';

interface BagVersion extends Version {
  readonly product: Product;
  readonly input: ProductInput;
}

/** How the bag stood after each change, the newest first, and every other bag. */
function useVersions(record: ProductRecord): {
  readonly own: readonly BagVersion[];
  readonly others: readonly BagVersion[];
} {
  const { data } = useRecordHistoryQuery({ recordId: record.id });
  const { records } = useRecords('product');
  return useMemo(() => {
    const own = versionsOf(data?.items ?? []).map(({ key, words, after }): BagVersion => {
      const input = ofToday('product', after) as ProductInput;
      return { key, words, product: toProduct(input, record.id), input };
    });
    const others = records
      .filter((r) => r.id !== record.id)
      .map((r): BagVersion => ({ key: r.id, words: r.name, product: toProduct(r, r.id), input: r }));
    return {
      own:
        own.length > 0
          ? own
          : [{ key: 'today', words: 'today’s', product: toProduct(record, record.id), input: record }],
      others,
    };
  }, [data, records, record]);
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
  const groups = [
    ['This bag', own],
    ['Another bag', others],
  ] as const;
  const find = (key: string | undefined): BagVersion | undefined => [...own, ...others].find((v) => v.key === key);
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
        <VersionPicker
          label="Before"
          value={before?.key ?? ''}
          groups={groups}
          hint="choose a version or a bag"
          onPick={(key) => setPicked({ ...picked, before: key })}
        />
        <VersionPicker
          label="After"
          value={after?.key ?? ''}
          groups={groups}
          hint="choose a version or a bag"
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
            {differWords(changes)}
          </p>
          <ComparedFigures
            figures={comparison.figures}
            caption="Every nutrient by its element, whatever basis and unit either label uses"
          />
          <ComparedWords words={words} caption="What else differs" />
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
