import { useDeferredValue, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { formulaText, PRODUCT_FORMS, RANKED_NUTRIENTS, type RankedNutrient } from '@wheat-ledger/core';
import { MarginNote, MarginNotes } from '../../ui/MarginNotes';
import { Empty, Failed, Loading, Sheet } from '../../ui/Sheet';
import { useRested } from '../../ui/useRested';
import { askedBy, isNoDay, isNoPercent, NO_SEARCH, type Search } from './asked';
import {
  useAnsweredPage,
  useCallingOff,
  useCatalogueCountQuery,
  useCatalogueCurrenciesQuery,
  useCatalogueFacetsQuery,
  useCatalogueListsQuery,
  type Asked,
} from '../../app/catalogueApi';
import { KeptSearches } from './KeptSearches';
import { CatalogueRows } from './CatalogueRows';

const NONE: readonly string[] = [];
/** How many were found is counted once typing rests, and who sells them a little later, ms. */
const COUNT_REST_MS = 250;
const FACETS_REST_MS = 400;

interface SearchPartProps {
  readonly search: Search;
  readonly onChange: (search: Search) => void;
}

interface OneOfProps {
  readonly label: string;
  readonly value: string;
  /** Each as what it stands for and what it says. */
  readonly options: readonly (readonly [value: string, words: string])[];
  readonly onChoose: (value: string) => void;
  readonly className?: string;
}
/** A choice under its label. */
function OneOf({ label, value, options, onChoose, className = '' }: OneOfProps) {
  return (
    <label className={className}>
      <span className="block text-sm text-faint">{label}</span>
      <select className="field" aria-label={label} value={value} onChange={(e) => onChoose(e.target.value)}>
        {options.map(([of, words]) => (
          <option key={of} value={of}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

interface TypedProps {
  readonly label: string;
  readonly value: string;
  readonly wrong?: boolean;
  readonly placeholder?: string;
  readonly onType: (typed: string) => void;
}
/** A condition that is typed, under its label. */
function Typed({ label, value, wrong = false, placeholder, onType }: TypedProps) {
  return (
    <label>
      <span className="block text-sm text-faint">{label}</span>
      <input
        className="field"
        aria-label={label}
        aria-invalid={wrong}
        placeholder={placeholder}
        value={value}
        onChange={(e) => onType(e.target.value)}
      />
    </label>
  );
}

/** What is looked for, and by what it is ranked. */
function SearchBar({ search, onChange, currencies }: SearchPartProps & { currencies: readonly string[] }) {
  return (
    <div className="mb-3 flex flex-wrap items-end gap-3">
      <label className="min-w-56 flex-1">
        <span className="block text-sm text-faint">Words</span>
        <input
          className="field"
          type="search"
          aria-label="Words"
          placeholder="name, seller, what it is made from"
          value={search.words}
          onChange={(e) => onChange({ ...search, words: e.target.value })}
        />
      </label>
      <OneOf
        label="Cheapest by"
        className="w-40"
        value={search.by}
        options={[...RANKED_NUTRIENTS.map((n) => [n, `kg of ${formulaText(n)}`] as const), ['', 'by name']]}
        onChoose={(by) => onChange({ ...search, by: by as RankedNutrient | '' })}
      />
      {currencies.length > 1 && (
        <OneOf
          label="Money"
          className="w-28"
          value={search.currency || (currencies[0] ?? '')}
          options={currencies.map((c) => [c, c])}
          onChoose={(currency) => onChange({ ...search, currency })}
        />
      )}
    </div>
  );
}

/** Conditions beside the words. */
function Conditions({ search, onChange }: SearchPartProps) {
  const { data: lists = [] } = useCatalogueListsQuery();
  const least = (n: RankedNutrient, typed: string): void =>
    onChange({ ...search, atLeast: { ...search.atLeast, [n]: typed } });
  return (
    <details className="mb-3">
      <summary className="cursor-pointer text-faint">More conditions</summary>
      <div className="mt-2 grid grid-cols-3 gap-x-3 gap-y-2 sm:grid-cols-6">
        {RANKED_NUTRIENTS.map((n) => (
          <Typed
            key={n}
            label={`${formulaText(n)} at least, %`}
            value={search.atLeast[n] ?? ''}
            wrong={isNoPercent(search.atLeast[n] ?? '')}
            onType={(typed) => least(n, typed)}
          />
        ))}
        <OneOf
          label="Form"
          className="col-span-2"
          value={search.form}
          options={[['', 'any'], ...PRODUCT_FORMS.map((f) => [f, f] as const)]}
          onChoose={(form) => onChange({ ...search, form })}
        />
        <OneOf
          label="Listed for organic use"
          className="col-span-2"
          value={search.organic}
          options={[
            ['', 'all'],
            ['yes', 'yes'],
            ['no', 'no'],
            ['unknown', 'not known'],
          ]}
          onChoose={(organic) => onChange({ ...search, organic })}
        />
        <Typed
          label="Cl at most, %"
          value={search.chloride}
          wrong={isNoPercent(search.chloride)}
          onType={(chloride) => onChange({ ...search, chloride })}
        />
        <OneOf
          label="List"
          value={search.list}
          options={[['', 'all'], ...lists.map((l) => [l.id, l.name] as const)]}
          onChoose={(list) => onChange({ ...search, list })}
        />
        <OneOf
          label="In stock"
          value={search.inStock}
          options={[
            ['', 'all'],
            ['yes', 'yes'],
            ['no', 'no'],
          ]}
          onChoose={(inStock) => onChange({ ...search, inStock })}
        />
        <Typed
          label="Price seen since"
          value={search.seenSince}
          wrong={isNoDay(search.seenSince)}
          placeholder="2026-03-01"
          onType={(seenSince) => onChange({ ...search, seenSince })}
        />
        <Typed label="Origin" value={search.origin} onType={(origin) => onChange({ ...search, origin })} />
        <Typed label="Sold in" value={search.place} onType={(place) => onChange({ ...search, place })} />
      </div>
    </details>
  );
}

/** Who sells what was found; one click keeps to it. */
function Sellers({ asked, search, onChange }: SearchPartProps & { asked: Asked }) {
  const rested = useRested(asked, FACETS_REST_MS);
  useCallingOff('catalogueFacets', rested);
  const { data } = useCatalogueFacetsQuery(rested);
  const sellers = data?.['seller'] ?? [];
  return (
    <MarginNote title="Sellers">
      {search.seller !== '' && (
        <button type="button" className="plain" onClick={() => onChange({ ...search, seller: '' })}>
          all sellers, not {search.seller} alone
        </button>
      )}
      <ul>
        {search.seller === '' &&
          sellers
            .filter((s) => s.value !== '')
            .map((s) => (
              <li key={s.value} className="flex justify-between gap-2">
                <button type="button" className="plain" onClick={() => onChange({ ...search, seller: s.value })}>
                  {s.value}
                </button>
                <span className="tabular-nums text-faint">{s.count}</span>
              </li>
            ))}
      </ul>
    </MarginNote>
  );
}

/** Every product of every list, ranked and searched. */
export function CatalogueView() {
  const { data: lists, isLoading, error } = useCatalogueListsQuery();
  const { data: currencies = NONE, isLoading: moneyLoading } = useCatalogueCurrenciesQuery();
  const [search, setSearch] = useState(NO_SEARCH);
  const rested = useDeferredValue(search);
  const asked = useMemo(() => askedBy(rested, currencies[0] ?? ''), [rested, currencies]);
  const none = lists?.length === 0;
  // Without its money a search would be asked by name first, and again by its cost.
  const waiting = isLoading || moneyLoading;
  const shown = useAnsweredPage(asked, waiting || none);
  const counted = useRested(asked, COUNT_REST_MS);
  useCallingOff('catalogueCount', counted);
  const { data: count } = useCatalogueCountQuery(counted, { skip: waiting || none });
  if (waiting) return <Loading what="the lists" />;
  return (
    <Sheet
      title="Catalogue"
      question="What could be bought, of everything in sellers’ lists?"
      actions={
        <>
          <Link to="/shelf" className="action">
            Shelf
          </Link>
          <Link to="/shelf/cheapest" className="action">
            Cheapest of all
          </Link>
          <Link to="/shelf/lists" className="action main">
            Lists
          </Link>
        </>
      }
    >
      {error !== undefined ? (
        <Failed error={error} />
      ) : none ? (
        <Empty>
          No list yet.{' '}
          <Link to="/shelf/lists" className="plain">
            Bring in a seller’s list
          </Link>
          : a spreadsheet with a product a row.
        </Empty>
      ) : (
        <>
          <SearchBar search={search} onChange={setSearch} currencies={currencies} />
          <Conditions search={search} onChange={setSearch} />
          <KeptSearches search={search} currency={currencies[0] ?? ''} onOpen={setSearch} />
          <p className="text-faint" role="status" data-testid="found">
            {count === undefined
              ? '…'
              : `${count.more ? `More than ${count.count}` : count.count} ${count.count === 1 && !count.more ? 'product' : 'products'} ${asked['by'] ? 'with a price and that nutrient' : 'found'}`}
          </p>
          {count?.count === 0 && <Empty>Nothing fits. Take a condition out.</Empty>}
          {shown && <CatalogueRows asked={shown} />}
        </>
      )}
      <MarginNotes>
        {!none && <Sellers asked={asked} search={search} onChange={setSearch} />}
        <MarginNote title="What counts">
          <p>
            All of the price is laid on the one nutrient. Phosphate counts as available, potash as soluble. What a list
            does not say is not counted as nothing: it is left out.
          </p>
        </MarginNote>
        <MarginNote title="Ties">
          <p>A bar runs from the most it may hold to the least. What reaches below the first’s dearest end is a tie.</p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
