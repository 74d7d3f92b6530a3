import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { Plus, Trash2 } from 'lucide-react';
import { SeasonInput, type PlotRecord } from '@wheat-ledger/contract';
import { CROP_LIBRARY, printDay, type FedUntil } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { today } from '../app/today';
import { settingsSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';
import { useSeasons, type ChosenSeason } from '../app/seasons';
import { EditForm, FormPart } from '../ui/EditForm';
import { DayField, SelectField, TextField, type Option } from '../ui/Field';
import { Empty } from '../ui/Sheet';
import { useTakeOut } from '../ui/useTakeOut';
import { useRecordForm } from '../ui/useRecordForm';
import { CropFacts } from './CropFacts';
import { blankSeason, readSeason, seasonText, shareWords, type SeasonText } from './seasonText';

const FED_OPTIONS: readonly (Option & { readonly value: FedUntil })[] = [
  { value: 'end', text: 'to the end' },
  { value: 'fruitSet', text: 'until fruit set' },
];

/** Own crops first, since they are the grower's. */
function useCropOptions() {
  const { records } = useRecords('crop');
  return useMemo(
    () => [
      ...records.map((c) => ({ value: c.id, text: `${c.name} (own)` })),
      ...CROP_LIBRARY.map((c) => ({ value: c.key, text: c.name })),
    ],
    [records],
  );
}

function SeasonForm({ plot, open, onDone }: { plot: PlotRecord; open: ChosenSeason | undefined; onDone: () => void }) {
  const dispatch = useAppDispatch();
  const record = open?.record;
  const saved = useMemo(() => (record ? seasonText(record) : blankSeason(today())), [record]);
  const { edit } = useRecordForm<'season', SeasonText>({
    kind: 'season',
    Input: SeasonInput,
    record,
    saved,
    read: (text) => readSeason(text, plot),
    draftOfNew: `new.${plot.id}`,
    nameOf: (s) => `the season from ${printDay(s.from)}`,
    onSaved: (s) => {
      dispatch(settingsSlice.actions.changed({ seasonId: s.id }));
      onDone();
    },
  });
  const options = useCropOptions();
  return (
    <EditForm<'season', SeasonText>
      {...edit}
      describe={(newer) => (
        <>
          Theirs, saved as version {newer.version}, begins on {printDay(newer.from)}.
        </>
      )}
      actions={
        <button type="button" className="action" onClick={onDone}>
          Cancel
        </button>
      }
    >
      <FormPart title={record ? 'Change this season' : 'What grows here, and from when'}>
        <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
          <SelectField name="crop" label="Crop" options={options} />
          <DayField name="from" label="Sown, planted or growth starts" />
          <DayField name="to" label="Cleared, if it is" />
          <TextField name="share" label="On how much of the plot" hint="all, half, 40 % or 30 m²" />
        </div>
        <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
          <SelectField name="fedUntil" label="Fed" options={FED_OPTIONS} />
          <TextField
            name="nitrogenKgPerHa"
            label="Nitrogen it takes up, kg/ha"
            placeholder="the crop’s own"
            inputMode="decimal"
          />
          <TextField name="note" label="Note" className="col-span-2" />
        </div>
      </FormPart>
    </EditForm>
  );
}

/** A season on one line: what, when, where; the one looked at is marked. */
function SeasonRow({ open, chosen, onEdit }: { open: ChosenSeason; chosen: boolean; onEdit: () => void }) {
  const dispatch = useAppDispatch();
  const takeOut = useTakeOut('season');
  const { record, season } = open;
  return (
    <tr data-testid="season">
      <td>
        <label className="flex cursor-pointer items-center gap-2">
          <input
            type="radio"
            name="season"
            className="no-print size-4 shrink-0 accent-wheat"
            checked={chosen}
            onChange={() => dispatch(settingsSlice.actions.changed({ seasonId: record.id }))}
          />
          <span className={chosen ? 'font-semibold' : ''}>{season.crop.name}</span>
        </label>
      </td>
      <td className="whitespace-nowrap">
        {printDay(season.from)}
        {season.to && <span className="block text-faint sm:hidden">to {printDay(season.to)}</span>}
      </td>
      <td className="hidden whitespace-nowrap sm:table-cell">
        {season.to ? printDay(season.to) : <span className="text-faint">still standing</span>}
      </td>
      <td>{shareWords(season.share)}</td>
      <td className="no-print text-right whitespace-nowrap">
        <button type="button" className="plain" onClick={onEdit}>
          Change<span className="sr-only"> {season.crop.name}</span>
        </button>{' '}
        <button
          type="button"
          className="plain ml-2"
          title={`Take ${season.crop.name} out`}
          onClick={() => void takeOut(record, `Took ${season.crop.name} from ${printDay(season.from)} out.`)}
        >
          <Trash2 size={16} aria-hidden="true" />
          <span className="sr-only">Take {season.crop.name} out</span>
        </button>
      </td>
    </tr>
  );
}

/** What grows on a plot and grew there before, line by line, and what is known of the chosen one's crop. */
export function PlotSeasons({ plot }: { plot: PlotRecord }) {
  const { seasons, chosen, isLoading } = useSeasons(plot.id);
  const [editing, setEditing] = useState<string>();
  const adding = editing === 'new' || (seasons.length === 0 && !isLoading);
  const open = seasons.find((s) => s.record.id === editing);
  const done = (): void => setEditing(undefined);
  const section = useRef<HTMLElement>(null);
  const { hash } = useLocation();
  useEffect(() => {
    if (hash === '#seasons') section.current?.scrollIntoView?.();
  }, [hash]);
  return (
    <section id="seasons" ref={section} className="scroll-mt-4">
      <div className="mb-2 flex flex-wrap items-end gap-2 border-b border-line-strong pb-1">
        <h2 className="mr-auto text-lg">Seasons</h2>
        <Link to="/ground/crops" className="action no-print">
          Crops
        </Link>
        {!adding && (
          <button type="button" className="action no-print" onClick={() => setEditing('new')}>
            <Plus size={17} aria-hidden="true" />
            Another season
          </button>
        )}
      </div>
      {seasons.length === 0 && !isLoading && (
        <Empty>Nothing is said yet of what grows here. Release and doses wait for it.</Empty>
      )}
      {seasons.length > 0 && (
        <table className="ledger mb-5">
          <caption className="sr-only">Seasons of {plot.name}, the newest first</caption>
          <thead>
            <tr>
              <th scope="col">Crop</th>
              <th scope="col">From</th>
              <th scope="col" className="hidden sm:table-cell">
                To
              </th>
              <th scope="col">On</th>
              <th scope="col" className="no-print">
                <span className="sr-only">Change or take out</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {seasons.map((s) => (
              <SeasonRow key={s.record.id} open={s} chosen={s === chosen} onEdit={() => setEditing(s.record.id)} />
            ))}
          </tbody>
        </table>
      )}
      {(adding || open) && <SeasonForm key={open?.record.id ?? 'new'} plot={plot} open={open} onDone={done} />}
      {chosen && !adding && !open && <CropFacts crop={chosen.season.crop} />}
    </section>
  );
}
