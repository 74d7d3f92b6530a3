import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useWatch } from 'react-hook-form';
import { Plus } from 'lucide-react';
import { CropInput, rangeText, toCrop, type CropRecord } from '@wheat-ledger/contract';
import { analyteName, CROP_LIBRARY, type Crop } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { EditForm, FormPart } from '../ui/EditForm';
import { FormActions } from '../ui/FormActions';
import { LongField, SelectField, TextField } from '../ui/Field';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';
import { useTakeOut } from '../ui/useTakeOut';
import { useRecordForm } from '../ui/useRecordForm';
import { CropFacts } from './CropFacts';
import { blankCrop, CROP_NUTRIENTS, cropHints, cropText, readCrop, type CropText } from './cropText';

const byGroup = (): readonly (readonly [string, readonly Crop[]])[] => {
  const groups = new Map<string, Crop[]>();
  for (const crop of CROP_LIBRARY) {
    const group = crop.group ?? 'other';
    groups.set(group, [...(groups.get(group) ?? []), crop]);
  }
  return [...groups].sort(([a], [b]) => (a < b ? -1 : 1));
};

function LibraryRow({ crop, open, onOpen }: { crop: Crop; open: boolean; onOpen: () => void }) {
  return (
    <tr>
      <td>
        <button type="button" className="plain text-left" aria-expanded={open} onClick={onOpen}>
          {crop.name}
        </button>
      </td>
      <td className="num">{rangeText(crop.uptakeKgPerHa.N) || <span className="text-faint">not known</span>}</td>
      <td className="num hidden sm:table-cell">
        {rangeText(crop.yieldTPerHa) || <span className="text-faint">none</span>}
      </td>
      <td className="num hidden sm:table-cell">{crop.pH ? `${crop.pH.low}–${crop.pH.high}` : ''}</td>
      <td className="no-print text-right">
        <Link to={`/ground/crops/new?from=${crop.key}`} className="plain whitespace-nowrap">
          Make it mine<span className="sr-only">: {crop.name}</span>
        </Link>
      </td>
    </tr>
  );
}

/** The crops of the library and the grower's own. */
export function CropsView() {
  const { records, isLoading, error } = useRecords('crop');
  const [open, setOpen] = useState<string>();
  const [wanted, setWanted] = useState('');
  const groups = useMemo(byGroup, []);
  if (isLoading) return <Loading what="the crops" />;
  const fits = (crop: Crop): boolean => crop.name.toLowerCase().includes(wanted.trim().toLowerCase());
  const opened = CROP_LIBRARY.find((c) => c.key === open);
  const found = groups
    .map(([group, crops]) => [group, crops.filter(fits)] as const)
    .filter(([, crops]) => crops.length > 0);
  return (
    <Sheet
      title="Crops"
      question="What does each take up, when, and in what soil?"
      actions={
        <Link to="/ground/crops/new" className="action main">
          <Plus size={17} aria-hidden="true" />A crop of my own
        </Link>
      }
    >
      <section className="mb-6">
        <h2 className="mb-2 text-xl">Your own</h2>
        {error !== undefined ? (
          <Failed error={error} />
        ) : records.length === 0 ? (
          <p className="text-faint">None yet. Take one of the library’s and change what you have measured.</p>
        ) : (
          <ul className="flex flex-col gap-1">
            {records.map((c) => (
              <li key={c.id}>
                <Link to={`/ground/crops/${c.id}`} className="plain">
                  {c.name}
                </Link>{' '}
                <span className="text-sm text-faint">
                  {c.basedOn ? `from ${CROP_LIBRARY.find((l) => l.key === c.basedOn)?.name.toLowerCase() ?? ''}` : ''}
                </span>
              </li>
            ))}
          </ul>
        )}
      </section>
      <section>
        <div className="mb-2 flex flex-wrap items-end gap-4">
          <h2 className="text-xl">The library</h2>
          <label className="text-sm text-faint">
            <span className="sr-only">Find a crop</span>
            <input
              type="search"
              className="field !w-56 text-pine"
              placeholder="find a crop"
              value={wanted}
              onChange={(e) => setWanted(e.target.value)}
            />
          </label>
        </div>
        {found.length === 0 && <Empty>No crop is called “{wanted}”. Enter it as one of your own.</Empty>}
        {opened && fits(opened) && (
          <div className="mb-4 border-y-4 border-double border-line-strong bg-paper px-3 py-3">
            <CropFacts crop={opened} />
          </div>
        )}
        {found.length > 0 && (
          <table className="ledger">
            <caption className="sr-only">Crops of the library by group</caption>
            <thead>
              <tr>
                <th scope="col">Crop</th>
                <th scope="col" className="num">
                  N taken up, kg/ha
                </th>
                <th scope="col" className="num hidden sm:table-cell">
                  at a harvest of, t/ha
                </th>
                <th scope="col" className="num hidden sm:table-cell">
                  pH
                </th>
                <th scope="col" className="no-print">
                  <span className="sr-only">Copy</span>
                </th>
              </tr>
            </thead>
            {found.map(([group, crops]) => (
              <tbody key={group}>
                <tr>
                  <th scope="rowgroup" colSpan={5} className="pt-3 text-left font-slab first-letter:uppercase">
                    {group}
                  </th>
                </tr>
                {crops.map((crop) => (
                  <LibraryRow
                    key={crop.key}
                    crop={crop}
                    open={crop.key === open}
                    onOpen={() => setOpen(crop.key === open ? undefined : crop.key)}
                  />
                ))}
              </tbody>
            ))}
          </table>
        )}
      </section>
      <MarginNotes>
        <MarginNote title="Where these come from">
          <p>
            Class averages of recommendation tables, least–usual–most, at the harvest named. Salt is after Maas and
            Hoffman (1977). What is not known says so.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

function ByElement({
  path,
  title,
  hint,
  hints,
}: {
  path: 'uptake' | 'removed';
  title: string;
  hint: string;
  hints: CropText;
}) {
  return (
    <FormPart title={title} hint={hint}>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {CROP_NUTRIENTS.map((n) => (
          <TextField key={n} name={`${path}.${n}`} label={analyteName(n)} placeholder={hints[path][n]} />
        ))}
      </div>
    </FormPart>
  );
}

function CropForm({ record, from }: { record?: CropRecord; from?: string }) {
  const navigate = useNavigate();
  const takeOut = useTakeOut('crop', '/ground/crops');
  const saved = useMemo(() => (record ? cropText(record) : blankCrop(from ?? '')), [record, from]);
  const { form, edit } = useRecordForm<'crop', CropText>({
    kind: 'crop',
    Input: CropInput,
    record,
    saved,
    read: readCrop,
    nameOf: (c) => c.name,
    onSaved: (c) => navigate(`/ground/crops/${c.id}`, { flushSync: true }),
  });
  const text = useWatch({ control: form.control }) as CropText;
  const hints = useMemo(() => cropHints(text.basedOn), [text.basedOn]);
  const { plain, problems } = useMemo(() => readCrop(text), [text]);
  return (
    <Sheet
      title={record ? record.name : 'A crop of your own'}
      question="What you have measured stands; the rest is the library’s."
    >
      <EditForm<'crop', CropText>
        {...edit}
        describe={(newer) => (
          <>
            Theirs, saved as version {newer.version}: “{newer.name}”.
          </>
        )}
        actions={
          <FormActions
            back={{ to: '/ground/crops', words: 'Back to the crops' }}
            takeOut={record && { words: 'Take it out', run: () => void takeOut(record, `Took “${record.name}” out.`) }}
          />
        }
      >
        <FormPart title="The crop">
          <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
            <TextField name="name" label="Name" />
            <SelectField
              name="basedOn"
              label="Where the rest comes from"
              options={[
                { value: '', text: 'nothing: unknown' },
                ...CROP_LIBRARY.map((c) => ({ value: c.key, text: c.name })),
              ]}
            />
            <TextField name="yield" label="Harvest, fresh, t/ha" placeholder={hints.yield} />
            <TextField name="pHLow" label="pH from" placeholder={hints.pHLow} inputMode="decimal" />
            <TextField name="pHHigh" label="pH to" placeholder={hints.pHHigh} inputMode="decimal" />
            <TextField name="rooting" label="Roots down to, m" placeholder={hints.rooting} />
            <TextField name="row" label="From row to row" placeholder={hints.row} />
            <TextField name="plant" label="In the row" placeholder={hints.plant} />
            <TextField
              name="saltThreshold"
              label="Salt it stands, mS/cm"
              placeholder={hints.saltThreshold}
              inputMode="decimal"
            />
            <TextField
              name="saltSlope"
              label="Loss for each mS/cm more, %"
              placeholder={hints.saltSlope}
              inputMode="decimal"
            />
          </div>
        </FormPart>
        <ByElement
          path="uptake"
          title="What a season takes up"
          hint="kg/ha; a number, or least–usual–most"
          hints={hints}
        />
        <ByElement path="removed" title="What the harvest takes away" hint="kg in a tonne" hints={hints} />
        <FormPart title="A well-fed leaf" hint="a line for each element: N 3–4 %, flag leaf, at heading">
          <LongField name="tissue" label="Bands of dry matter" rows={3} placeholder={hints.tissue} />
        </FormPart>
        <FormPart title="By age" hint="for trees, bushes and vines; a line for each age: 3–4: 600–800 g, 40–120 cm">
          <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
            <TextField name="ageGrade" label="Of which grade" placeholder={hints.ageGrade} />
            <TextField name="ageCap" label="At most in a year" placeholder={hints.ageCap} />
          </div>
          <LongField name="ages" label="Years: for each plant, ring from and to" rows={4} placeholder={hints.ages} />
        </FormPart>
        <TextField name="note" label="Note" />
        {problems.length === 0 && <CropFacts crop={toCrop(plain, record?.id ?? 'new')} />}
      </EditForm>
    </Sheet>
  );
}

export function NewCrop() {
  const [search] = useSearchParams();
  const from = search.get('from') ?? '';
  return <CropForm key={from} from={CROP_LIBRARY.some((c) => c.key === from) ? from : ''} />;
}

export function EditCrop() {
  const { crop: id } = useParams();
  const { records, isLoading } = useRecords('crop');
  if (isLoading) return <Loading what="the crop" />;
  const record = records.find((r) => r.id === id);
  return record ? (
    <CropForm key={record.id} record={record} />
  ) : (
    <Sheet title="No such crop" question="It was taken out, or was never here.">
      <Empty>What was taken out can be restored from the book.</Empty>
    </Sheet>
  );
}
