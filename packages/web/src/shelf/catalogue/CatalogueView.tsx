import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { PRODUCT_FORMS, RANKED_NUTRIENTS, type RankedNutrient } from '@wheat-ledger/core';
import { MarginNote, MarginNotes } from '../../ui/MarginNotes';
import { Empty, Failed, Loading, Sheet } from '../../ui/Sheet';
import { askedBy, isNoPercent, NO_SEARCH, type Search } from './asked';
import {
  useCatalogueCountQuery,
  useCatalogueCurrenciesQuery,
  useCatalogueFacetsQuery,
  useCatalogueListsQuery,
  type Asked,
} from './catalogueApi';
import { CatalogueRows } from './CatalogueRows';

interface SearchPartProps {
  readonly search: Search;
  readonly onChange: (search: Search) => void;
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
      <label className="w-40">
        <span className="block text-sm text-faint">Cheapest by</span>
        <select
          className="field"
          aria-label="Cheapest by"
          value={search.by}
          onChange={(e) => onChange({ ...search, by: e.target.value as RankedNutrient | '' })}
        >
          {RANKED_NUTRIENTS.map((n) => (
            <option key={n} value={n}>
              kg of {n}
            </option>
          ))}
          <option value="">by name</option>
        </select>
      </label>
      {currencies.length > 1 && (
        <label className="w-28">
          <span className="block text-sm text-faint">Money</span>
          <select
            className="field"
            aria-label="Money"
            value={search.currency || currencies[0]}
            onChange={(e) => onChange({ ...search, currency: e.target.value })}
          >
            {currencies.map((c) => (
              <option key={c}>{c}</option>
            ))}
          </select>
        </label>
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
          <label key={n}>
            <span className="block text-sm text-faint">{n} at least, %</span>
            <input
              className="field"
              inputMode="decimal"
              aria-label={`${n} at least, %`}
              aria-invalid={isNoPercent(search.atLeast[n] ?? '')}
              value={search.atLeast[n] ?? ''}
              onChange={(e) => least(n, e.target.value)}
            />
          </label>
        ))}
        <label className="col-span-2">
          <span className="block text-sm text-faint">Form</span>
          <select
            className="field"
            aria-label="Form"
            value={search.form}
            onChange={(e) => onChange({ ...search, form: e.target.value })}
          >
            <option value="">any</option>
            {PRODUCT_FORMS.map((f) => (
              <option key={f}>{f}</option>
            ))}
          </select>
        </label>
        <label className="col-span-2">
          <span className="block text-sm text-faint">Listed for organic use</span>
          <select
            className="field"
            aria-label="Listed for organic use"
            value={search.organic}
            onChange={(e) => onChange({ ...search, organic: e.target.value })}
          >
            <option value="">all</option>
            <option value="yes">yes</option>
            <option value="no">no</option>
            <option value="unknown">not known</option>
          </select>
        </label>
        <label>
          <span className="block text-sm text-faint">Chloride at most, %</span>
          <input
            className="field"
            inputMode="decimal"
            aria-label="Chloride at most, %"
            aria-invalid={isNoPercent(search.chloride)}
            value={search.chloride}
            onChange={(e) => onChange({ ...search, chloride: e.target.value })}
          />
        </label>
        <label>
          <span className="block text-sm text-faint">List</span>
          <select
            className="field"
            aria-label="List"
            value={search.list}
            onChange={(e) => onChange({ ...search, list: e.target.value })}
          >
            <option value="">all</option>
            {lists.map((l) => (
              <option key={l.id} value={l.id}>
                {l.name}
              </option>
            ))}
          </select>
        </label>
      </div>
    </details>
  );
}

/** Who sells what was found; one click keeps to it. */
function Sellers({ asked, search, onChange }: SearchPartProps & { asked: Asked }) {
  const { data } = useCatalogueFacetsQuery(asked);
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
  const { data: currencies = [] } = useCatalogueCurrenciesQuery();
  const [search, setSearch] = useState(NO_SEARCH);
  const rested = useDeferredValue(search);
  const asked = askedBy(rested, currencies[0] ?? '');
  const none = lists?.length === 0;
  const { data: count } = useCatalogueCountQuery(asked, { skip: none });
  if (isLoading) return <Loading what="the lists" />;
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
          <p className="text-faint" role="status" data-testid="found">
            {count === undefined
              ? '…'
              : `${count.more ? `More than ${count.count}` : count.count} ${count.count === 1 && !count.more ? 'product' : 'products'} ${asked['by'] ? 'with a price and that nutrient' : 'found'}`}
          </p>
          {count?.count === 0 && <Empty>Nothing fits. Take a condition out.</Empty>}
          <CatalogueRows key={JSON.stringify(asked)} asked={asked} by={asked['by'] ? rested.by : ''} />
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
