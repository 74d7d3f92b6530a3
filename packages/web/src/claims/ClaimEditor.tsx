import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useFormContext, useWatch } from 'react-hook-form';
import { ClaimInput, toClaim, type ClaimRecord } from '@wheat-ledger/contract';
import { analyteName, CROP_LIBRARY, judge, libraryCrop, massFraction, type Nutrient } from '@wheat-ledger/core';
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
import { claimText, readClaim, type ClaimText } from './claimText';
import { JudgementSheet } from './JudgementSheet';

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

function ClaimForm({ record, shelf }: { record?: ClaimRecord; shelf: readonly ShelfProduct[] }) {
  const navigate = useNavigate();
  const { crop } = usePlotCrop();
  const takeOut = useTakeOut('claim', '/claims');
  const saved = useMemo(
    (): ClaimText =>
      record
        ? claimText(record)
        : {
            statement: '',
            saidBy: '',
            productId: '',
            crop: (crop && libraryCrop(crop.key)?.key) ?? 'wheat',
            needs: [],
          },
    [record, crop],
  );
  const { form, edit } = useRecordForm<'claim', ClaimText>({
    kind: 'claim',
    Input: ClaimInput,
    record,
    saved,
    read: readClaim,
    nameOf: (c) => c.statement,
    onSaved: (c) => navigate(`/claims/${c.id}`, { flushSync: true }),
  });
  const text = useWatch({ control: form.control }) as ClaimText;
  const judgement = useMemo(() => {
    const product = shelf.find((s) => s.record.id === text.productId)?.product;
    return product && judge(toClaim(readClaim(text).plain, product));
  }, [text, shelf]);
  const product = shelf.find((s) => s.record.id === text.productId)?.product;
  const claimLacks = product
    ? [
        ...(product.directions.length === 0
          ? [
              {
                what: `The label rate of ${product.name}`,
                why: 'without one there is no dose',
                to: `/shelf/${product.id}`,
              },
            ]
          : []),
        ...text.needs
          .filter((n) => massFraction(product, n as Nutrient).kind === 'notDeclared')
          .map((n) => ({
            what: `How much ${analyteName(n as Nutrient)} is in ${product.name}`,
            why: 'its label does not say',
            to: `/shelf/${product.id}`,
          })),
      ]
    : [];
  const bags = [
    { value: '', text: 'choose a bag' },
    ...shelf.map((s) => ({ value: s.record.id, text: s.product.name })),
  ];
  return (
    <Sheet
      title={record ? 'A claim, taken apart' : 'Take a claim apart'}
      question="One sentence, one bag, one crop. The checks run as you type."
      actions={<PrintButton />}
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
        </div>
        <OnPaper title={`“${text.statement}”`}>
          Said by {text.saidBy || 'nobody named'}, of {product?.name ?? 'no bag yet'}, for{' '}
          {(libraryCrop(text.crop)?.name ?? text.crop).toLowerCase()}.
          {text.needs.length > 0 &&
            ` To work it must bring ${text.needs.map((n) => analyteName(n as Nutrient)).join(', ')}.`}
        </OnPaper>
        {judgement ? (
          <JudgementSheet judgement={judgement} />
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
              The <Term of="dose">dose</Term> is what the bag’s <Term of="label">label</Term> says.
            </>,
          ]}
          missing={claimLacks}
        />
        <MarginNote title="Not yet looked at">
          <p>
            Seven of the nine checks have no numbers yet, a <Term of="confounder">confounder</Term> among them, so no
            verdict is surer than moderate.
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
