import { useState } from 'react';
import { X } from 'lucide-react';
import { CATALOGUE_CHANGES, type KeptSearchRecord } from '@wheat-ledger/contract';
import { printDay } from '@wheat-ledger/core';
import { useRecords } from '../../app/api';
import { useCatalogueSinceQuery } from '../../app/catalogueApi';
import { settingsSlice } from '../../app/slices';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { useKeep } from '../../ui/useKeep';
import { useTakeOut } from '../../ui/useTakeOut';
import { askedBy, keptOf, searchOf, type Search } from './asked';
import { KIND_WORDS } from './changeWords';

const MOST_NAME = 40;

/** What changed of a kept search since it was last looked at; nothing where nothing did. */
function Since({ kept, at, currency }: { kept: KeptSearchRecord; at: string; currency: string }) {
  const { data } = useCatalogueSinceQuery({ ...askedBy(searchOf(kept.search), currency), since: at });
  const words = CATALOGUE_CHANGES.filter((kind) => (data?.[kind] ?? 0) > 0).map(
    (kind) => `${data?.[kind]} ${KIND_WORDS[kind]}`,
  );
  if (words.length === 0) return null;
  return (
    <span className="text-sm text-beet">
      {' '}
      since {printDay(at.slice(0, 10))}: {words.join(', ')}
    </span>
  );
}

interface KeptSearchesProps {
  readonly search: Search;
  readonly currency: string;
  readonly onOpen: (search: Search) => void;
}
/** Searches under a name, each with what changed since it was last opened here. A name that is kept already takes the new search. */
export function KeptSearches({ search, currency, onOpen }: KeptSearchesProps) {
  const { records } = useRecords('search');
  const { keep, saving } = useKeep('search');
  const takeOut = useTakeOut('search');
  const seen = useAppSelector((s) => s.settings.searchesSeen);
  const dispatch = useAppDispatch();
  const [name, setName] = useState('');
  const look = (id: string): void => {
    const searchesSeen = { ...seen, [id]: new Date().toISOString() };
    dispatch(settingsSlice.actions.changed({ searchesSeen }));
  };
  const open = (kept: KeptSearchRecord): void => {
    onOpen(searchOf(kept.search));
    look(kept.id);
  };
  const called = name.trim().slice(0, MOST_NAME);
  const submit = async (): Promise<void> => {
    if (called === '') return;
    const known = records.find((k) => k.name === called);
    const kept = await keep({ name: called, search: keptOf(search) }, known, `Kept the search “${called}”.`);
    if (!kept) return;
    look(kept.id);
    setName('');
  };
  return (
    <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2" data-testid="kept-searches">
      {records.map((kept) => (
        <span key={kept.id}>
          <button type="button" className="plain" onClick={() => open(kept)}>
            {kept.name}
          </button>
          <button
            type="button"
            className="cursor-pointer px-1"
            onClick={() => void takeOut(kept, `Took out the search “${kept.name}”.`)}
            title={`Take out ${kept.name}`}
          >
            <X size={14} aria-hidden="true" />
            <span className="sr-only">Take out {kept.name}</span>
          </button>
          <Since kept={kept} at={seen[kept.id] ?? kept.updatedAt} currency={currency} />
        </span>
      ))}
      <form
        className="flex items-center gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          void submit();
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
          <button type="submit" className="action" disabled={saving}>
            Keep it
          </button>
        )}
      </form>
    </div>
  );
}
