import { useMemo, useState } from 'react';
import { Link, NavLink, useNavigate, useParams } from 'react-router';
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import { useWatch } from 'react-hook-form';
import { Trash2 } from 'lucide-react';
import { RecipeInput, type RecipeRecord } from '@wheat-ledger/contract';
import { useRecords } from '../app/api';
import { useBench } from '../app/bench';
import { useShelfWith, type ShelfProduct } from '../app/workspace';
import { formatTrimmed, pricesPerKg } from '@wheat-ledger/core';
import { EditForm } from '../ui/EditForm';
import { TextField } from '../ui/Field';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { RestsOn } from '../ui/RestsOn';
import { NoBags } from './NoBags';
import { Empty, Loading, Sheet } from '../ui/Sheet';
import { OnPaper } from '../ui/OnPaper';
import { PrintButton } from '../ui/PrintButton';
import { OnBench } from '../ui/OnBench';
import { useSaving } from '../ui/useSaving';
import { CopyTo } from '../ui/CopyTo';
import { useTakeOut } from '../ui/useTakeOut';
import { useTextForm } from '../ui/textForm';
import { CheckParts } from './CheckParts';
import { MakeMix } from './MakeMix';
import { RecipePages } from './RecipePages';
import { SaveRecipe } from './RecipeFiles';
import { blankRecipe, readRecipe, recipeText, type RecipeText } from './recipeText';

const TAB =
  'cursor-pointer border-b-4 border-transparent px-3 py-1.5 font-slab text-lg data-selected:border-wheat data-selected:font-semibold';

function RecipeForm({ record, shelf }: { record: RecipeRecord | undefined; shelf: readonly ShelfProduct[] }) {
  const navigate = useNavigate();
  const { items } = useBench();
  const takeOut = useTakeOut('recipe', '/mix');
  const saved = useMemo(() => (record ? recipeText(record) : blankRecipe()), [record]);
  const [tab, setTab] = useState(saved.parts.length > 0 ? 1 : 0);
  const textForm = useTextForm<RecipeText, RecipeInput>({
    Input: RecipeInput,
    saved,
    version: record?.version,
    read: readRecipe,
    draft: `recipe.${record?.id ?? 'new'}`,
  });
  const { form } = textForm;
  const saving = useSaving({
    kind: 'recipe',
    textForm,
    existing: record && { id: record.id, version: textForm.base ?? record.version },
    toInput: (text) => readRecipe(text).plain,
    nameOf: (r) => r.name,
    onSaved: (r) => navigate(`/mix/${r.id}`, { flushSync: true }),
  });
  const text = useWatch({ control: form.control }) as RecipeText;
  const all = useMemo(() => shelf.map((s) => s.product), [shelf]);
  // What was taken off the shelf keeps its part in a recipe, and gets none in a new mix.
  const onBench = useMemo(
    () => items.flatMap((i) => (i.kind === 'product' && !i.aside && i.product ? [i.product] : [])),
    [items],
  );
  const present = useMemo(() => shelf.filter((s) => s.record.deletedAt === null), [shelf]);
  return (
    <EditForm<'recipe', RecipeText>
      textForm={textForm}
      saving={saving.saving}
      trouble={saving.trouble}
      onSubmit={(e) => void saving.submit(e)}
      onSaveOver={(newer) => void saving.saveOver(newer)}
      describe={(newer) => (
        <>
          Theirs, saved as version {newer.version}: “{newer.name}”, target {newer.target || 'none'},{' '}
          {newer.parts.length} parts.
        </>
      )}
      actions={
        record && (
          <>
            <OnBench kind="recipe" id={record.id} name={record.name} />
            <SaveRecipe record={record} nameOf={(id) => all.find((p) => p.id === id)?.name ?? 'a bag that is gone'} />
            <CopyTo kind="recipe" id={record.id} />
            <button
              type="button"
              className="action ml-auto"
              onClick={() => void takeOut(record, `Took “${record.name}” out.`)}
            >
              <Trash2 size={16} aria-hidden="true" />
              Take this recipe out
            </button>
          </>
        )
      }
    >
      <TextField name="name" label="Name of the recipe" className="no-print max-w-md" placeholder="needed to save it" />
      <OnPaper title={text.name || 'A mix without a name'}>
        {tab === 0
          ? `Meant to be ${text.target || 'nothing yet'}, ${text.batch} in all.`
          : `${text.batch} in all, parts by ${text.by}.`}
      </OnPaper>
      <TabGroup selectedIndex={tab} onChange={setTab}>
        <TabList className="no-print flex gap-2 border-b border-line-strong">
          <Tab className={TAB}>From a target</Tab>
          <Tab className={TAB}>Check parts</Tab>
        </TabList>
        <TabPanels className="pt-4">
          <TabPanel tabIndex={-1}>
            <MakeMix
              text={text}
              bench={onBench}
              shelf={present}
              onUse={(parts, batchKg) => {
                form.setValue('parts', [...parts]);
                form.setValue('by', 'weight');
                if (batchKg !== undefined) form.setValue('batch', `${formatTrimmed(batchKg, 3)} kg`);
                setTab(1);
              }}
            />
          </TabPanel>
          <TabPanel tabIndex={-1}>
            <CheckParts text={text} shelf={all} />
          </TabPanel>
        </TabPanels>
      </TabGroup>
    </EditForm>
  );
}

/** What could be mixed instead, and what a mix really is. */
export function MixView() {
  const { id } = useParams();
  const { records, isLoading } = useRecords('recipe');
  const record = records.find((r) => r.id === id);
  const { shelf, isLoading: shelfLoading } = useShelfWith(record?.parts.map((p) => p.productId) ?? []);
  if (isLoading || shelfLoading) return <Loading what="the recipes" />;
  const lacking = shelf.flatMap(({ record: bag, product }) => [
    ...(pricesPerKg(product).length === 0
      ? [{ what: `What ${bag.name} costs`, why: 'it cannot enter the cheapest mix', to: `/shelf/${bag.id}` }]
      : []),
    ...(product.densityKgPerL === undefined
      ? [{ what: `What a litre of ${bag.name} weighs`, why: 'no parts by volume', to: `/shelf/${bag.id}` }]
      : []),
  ]);
  const link = ({ isActive }: { isActive: boolean }): string =>
    `block border-l-[3px] px-2 py-1 ${isActive ? 'border-wheat bg-paper' : 'border-transparent hover:bg-paper'}`;
  return (
    <Sheet
      title="Mix"
      question="What could be mixed instead, and what is a mix really?"
      actions={
        <>
          <Link to="/mix" className="action">
            All recipes
          </Link>
          <PrintButton />
        </>
      }
    >
      {record && <RecipePages id={record.id} />}
      {shelf.length === 0 ? (
        <NoBags />
      ) : id !== 'new' && !record ? (
        <Empty>
          That recipe was taken out.{' '}
          <Link to="/mix/new" className="plain">
            Start a new one
          </Link>
          , or restore it from the{' '}
          <Link to="/book" className="plain">
            book
          </Link>
          .
        </Empty>
      ) : (
        <RecipeForm key={record ? record.id : 'new'} record={record} shelf={shelf} />
      )}
      <MarginNotes>
        <MarginNote title="Recipes">
          <ul>
            <li>
              <NavLink to="/mix/new" className={link}>
                A new one
              </NavLink>
            </li>
            {records.map((r) => (
              <li key={r.id}>
                <NavLink to={`/mix/${r.id}`} className={link}>
                  {r.name}
                </NavLink>
              </li>
            ))}
          </ul>
        </MarginNote>
        <RestsOn
          assumed={[
            'Each part holds what its bag says; what a bag does not state is not counted, and may be there.',
            'The price of a part is the cheapest newest price of its bag, with your hours and haulage where you count them.',
          ]}
          missing={lacking}
        />
        <MarginNote title="Weight or volume">
          <p>
            The same recipe read by volume instead of weight can be 40 % off, since a litre of feather meal and a litre
            of salt do not weigh the same. Say which you mean.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
