import { useEffect, useMemo, useRef } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useFormContext, useWatch } from 'react-hook-form';
import { ClaimInput, dosed, type ClaimRecord } from '@wheat-ledger/contract';
import {
  analyteName,
  CROP_LIBRARY,
  libraryCrop,
  massFraction,
  VERDICTS,
  type Judgement,
  type Nutrient,
  type Product,
} from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { usePlotCrop } from '../app/seasons';
import { useShelfWith, type ShelfProduct } from '../app/workspace';
import { Term } from '../glossary/Term';
import { EditForm } from '../ui/EditForm';
import { FormActions } from '../ui/FormActions';
import { LongField, SelectField, TextField } from '../ui/Field';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { RestsOn } from '../ui/RestsOn';
import { OnPaper } from '../ui/OnPaper';
import { PrintButton } from '../ui/PrintButton';
import { Swatch } from '../ui/patterns';
import { Empty, Loading, Sheet } from '../ui/Sheet';
import { useTakeOut } from '../ui/useTakeOut';
import { useRecordForm } from '../ui/useRecordForm';
import { ApartPart } from './ApartPart';
import { blankClaim, claimText, readClaim, type ClaimText } from './claimText';
import { DosePart } from './DosePart';
import { EvidencePart } from './EvidencePart';
import { HistoryPart, withVerdict } from './HistoryPart';
import { JudgementSheet } from './JudgementSheet';
import { OwnAnswer } from './OwnAnswer';
import { SlipsPart } from './SlipsPart';
import { StudiesPart } from './StudiesPart';
import { useJudge } from './useJudge';
import { WorthPart } from './WorthPart';

/** Elements a mechanism may rest on; traces and metals are asked about elsewhere. */
const ASKED: readonly Nutrient[] = ['N', 'P', 'K', 'Ca', 'Mg', 'S', 'Si', 'Fe', 'Mn', 'Zn', 'Cu', 'B'];

function NeedsBoxes() {
  const { register } = useFormContext<ClaimText>();
  return (
    <fieldset>
      <legend className="text-sm text-faint">
        What must it bring for that to work? Tick none when the mechanism is not a supply of nutrients.
      </legend>
      <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        {ASKED.map((n) => (
          <label key={n} className="flex cursor-pointer items-center gap-1.5">
            <input type="checkbox" value={n} {...register('needs')} className="size-4 accent-wheat" />
            <Swatch nutrient={n} />
            {analyteName(n)}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

const OWN = [{ value: '', text: 'leave it to the checks' }, ...VERDICTS.map((v) => ({ value: v, text: v }))];
/** A verdict of one's own, with its reason; the program's is kept beside it. */
function OverrulePart() {
  const { control } = useFormContext<ClaimText>();
  const own = useWatch({ control, name: 'overrule' });
  return (
    <div className="grid gap-3 sm:grid-cols-[14rem_1fr]">
      <SelectField name="overrule" label="Your own verdict" options={OWN} />
      {own !== '' && <TextField name="because" label="Your reason" />}
    </div>
  );
}

/** What would settle more, were it entered. */
const lacksOf = (product: Product, needs: readonly string[]) => [
  ...(product.directions.length === 0
    ? [{ what: `The label rate of ${product.name}`, why: 'without one there is no dose', to: `/shelf/${product.id}` }]
    : []),
  ...needs
    .filter((n) => massFraction(product, n as Nutrient).kind === 'notDeclared')
    .map((n) => ({
      what: `How much ${analyteName(n as Nutrient)} is in ${product.name}`,
      why: 'its label does not say',
      to: `/shelf/${product.id}`,
    })),
];

function ClaimForm({ record, shelf }: { record?: ClaimRecord; shelf: readonly ShelfProduct[] }) {
  const navigate = useNavigate();
  const { crop } = usePlotCrop();
  const takeOut = useTakeOut('claim', '/claims');
  const saved = useMemo(
    (): ClaimText => (record ? claimText(record) : blankClaim((crop && libraryCrop(crop.key)?.key) ?? 'wheat')),
    [record, crop],
  );
  const latest = useRef<Judgement>(undefined);
  const { form, edit } = useRecordForm<'claim', ClaimText>({
    kind: 'claim',
    beforeSaving: (plain) => withVerdict(plain, latest.current, record?.history),
    Input: ClaimInput,
    record,
    saved,
    read: readClaim,
    nameOf: (c) => c.statement,
    onSaved: (c) => navigate(`/claims/${c.id}`, { flushSync: true }),
  });
  const text = useWatch({ control: form.control }) as ClaimText;
  const input = useMemo(() => readClaim(text).plain, [text]);
  const judgeClaim = useJudge([input.productId], shelf);
  const judgement = useMemo(() => judgeClaim(input), [judgeClaim, input]);
  useEffect(() => {
    latest.current = judgement;
  }, [judgement]);
  const product = shelf.find((s) => s.record.id === text.productId)?.product;
  const claimLacks = product ? lacksOf(product, text.needs) : [];
  const bags = [
    { value: '', text: 'choose a bag' },
    ...shelf.map((s) => ({ value: s.record.id, text: s.product.name })),
  ];
  return (
    <Sheet
      title={record ? 'A claim, taken apart' : 'Take a claim apart'}
      question="One sentence, one bag, one crop. The checks run as you type."
      actions={
        record ? (
          <>
            <Link to={`/claims/of/${record.productId}`} className="action">
              All claims of it
            </Link>
            <Link to={`/trials/new?claim=${record.id}`} className="action">
              Test it in a trial
            </Link>
            <Link to={`/claims/${record.id}/sheet`} className="action">
              The sheet to take along
            </Link>
          </>
        ) : (
          <PrintButton />
        )
      }
    >
      <EditForm<'claim', ClaimText>
        {...edit}
        describe={(newer) => (
          <>
            Theirs, saved as version {newer.version}: “{newer.statement}”.
          </>
        )}
        actions={
          <FormActions
            back={{ to: '/claims', words: 'Back to the claims' }}
            takeOut={record && { words: 'Take it out', run: () => void takeOut(record, 'Took the claim out.') }}
          />
        }
      >
        <div className="no-print flex flex-col gap-3">
          <LongField name="statement" label="What is said, word for word" placeholder="Wool pellets feed all year" />
          <div className="grid gap-3 sm:grid-cols-3">
            <TextField name="saidBy" label="Who says it" placeholder="the maker, a neighbour …" />
            <SelectField name="productId" label="Of which bag" options={bags} />
            <SelectField
              name="crop"
              label="For which crop"
              options={CROP_LIBRARY.map((c) => ({ value: c.key, text: c.name }))}
            />
          </div>
          <NeedsBoxes />
          <ApartPart />
          {product && <DosePart product={product} />}
        </div>
        <OnPaper title={`“${text.statement}”`}>
          Said by {text.saidBy || 'nobody named'}, of {product?.name ?? 'no bag yet'}, for{' '}
          {(libraryCrop(text.crop)?.name ?? text.crop).toLowerCase()}.
          {text.needs.length > 0 &&
            ` To work it must bring ${text.needs.map((n) => analyteName(n as Nutrient)).join(', ')}.`}
        </OnPaper>
        {judgement && product ? (
          <>
            <JudgementSheet
              judgement={judgement}
              overrule={input.overrule}
              own={(check, name) => <OwnAnswer check={check} name={name.toLowerCase()} />}
            />
            <EvidencePart
              evidence={judgement.evidence}
              kind={text.kind || (text.needs.length > 0 ? 'supplies' : 'other')}
              less={text.less}
            />
            <div className="no-print">
              <StudiesPart />
            </div>
            <WorthPart input={input} product={dosed(product, input)} evidence={judgement.evidence} />
            <SlipsPart product={product} slips={input.slips && { slips: input.slips, tolerance: input.tolerance }} />
            <div className="no-print">
              <OverrulePart />
            </div>
            <HistoryPart history={record?.history ?? []} judgement={judgement} />
          </>
        ) : (
          <Empty>Choose the bag it is said of, and the checks run.</Empty>
        )}
      </EditForm>
      <MarginNotes>
        <RestsOn
          assumed={[
            <>
              What the crop <Term of="uptake">takes up</Term> is a class average, with its range.
            </>,
            <>
              The <Term of="dose">dose</Term> is what the bag’s <Term of="label">label</Term> says, unless you type
              another.
            </>,
          ]}
          missing={claimLacks}
        />
        <MarginNote title="How a verdict comes about">
          <p>
            Nine checks and one table. A figure is reckoned without a study; an effect without one is not shown. What
            else came along, a <Term of="confounder">confounder</Term>, and who earns by it make it less sure.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

export function NewClaim() {
  const { shelf, isLoading } = useShelfWith([]);
  return isLoading ? <Loading what="the shelf" /> : <ClaimForm shelf={shelf} />;
}

export function EditClaim() {
  const { id } = useParams();
  const { records, isLoading } = useRecords('claim');
  const record = records.find((r) => r.id === id);
  const { shelf, isLoading: shelfLoading } = useShelfWith(record ? [record.productId] : []);
  if (isLoading || shelfLoading) return <Loading what="the claim" />;
  return record ? (
    <ClaimForm key={record.id} record={record} shelf={shelf} />
  ) : (
    <Sheet title="No such claim" question="It was taken out, or was never here.">
      <Empty>What was taken out can be restored from the book.</Empty>
    </Sheet>
  );
}
