import { useState } from 'react';
import { X } from 'lucide-react';
import { CATALOGUE_CHANGES } from '@wheat-ledger/contract';
import { printDay } from '@wheat-ledger/core';
import { settingsSlice, type KeptSearch } from '../../app/slices';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { askedBy, type Search } from './asked';
import { useCatalogueSinceQuery } from '../../app/catalogueApi';
import { KIND_WORDS } from './changeWords';

const MOST_NAME = 40;

/** What changed of a kept search since it was last looked at; nothing where nothing did. */
function Since({ kept, currency }: { kept: KeptSearch; currency: string }) {
  const asked = askedBy(kept.search as unknown as Search, currency);
  const { data } = useCatalogueSinceQuery({ ...asked, since: kept.at });
  const words = CATALOGUE_CHANGES.filter((kind) => (data?.[kind] ?? 0) > 0).map(
    (kind) => `${data?.[kind]} ${KIND_WORDS[kind]}`,
  );
  if (words.length === 0) return null;
  return (
    <span className="text-sm text-beet">
      {' '}
      since {printDay(kept.at.slice(0, 10))}: {words.join(', ')}
    </span>
  );
}

interface KeptSearchesProps {
  readonly search: Search;
  readonly currency: string;
  readonly onOpen: (search: Search) => void;
}
/** Searches under a name, each with what changed since it was last opened. */
export function KeptSearches({ search, currency, onOpen }: KeptSearchesProps) {
  const searches = useAppSelector((s) => s.settings.searches);
  const dispatch = useAppDispatch();
  const [name, setName] = useState('');
  const keep = (next: readonly KeptSearch[]): void => void dispatch(settingsSlice.actions.changed({ searches: next }));
  const without = (of: string): readonly KeptSearch[] => searches.filter((k) => k.name !== of);
  const now = (): string => new Date().toISOString();
  const open = (kept: KeptSearch): void => {
    onOpen(kept.search as unknown as Search);
    keep(searches.map((k) => (k === kept ? { ...k, at: now() } : k)));
  };
  const called = name.trim().slice(0, MOST_NAME);
  return (
    <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2" data-testid="kept-searches">
      {searches.map((kept) => (
        <span key={kept.name}>
          <button type="button" className="plain" onClick={() => open(kept)}>
            {kept.name}
          </button>
          <button
            type="button"
            className="cursor-pointer px-1"
            onClick={() => keep(without(kept.name))}
            title={`Take out ${kept.name}`}
          >
            <X size={14} aria-hidden="true" />
            <span className="sr-only">Take out {kept.name}</span>
          </button>
          <Since kept={kept} currency={currency} />
        </span>
      ))}
      <form
        className="flex items-center gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (called === '') return;
          keep([...without(called), { name: called, at: now(), search: { ...search } }]);
          setName('');
        }}
      >
        <input
          className="field !w-44"
          aria-label="Keep this search as"
          placeholder="keep this search as …"
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        {called !== '' && (
          <button type="submit" className="action">
            Keep it
          </button>
        )}
      </form>
    </div>
  );
}
