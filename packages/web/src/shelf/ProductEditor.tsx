import { useMemo, useState } from 'react';
import { useLocation, useNavigate, useSearchParams } from 'react-router';
import { Trash2 } from 'lucide-react';
import { useFormContext, useWatch } from 'react-hook-form';
import {
  blankProduct,
  ProductInput,
  productText,
  readProduct,
  toProduct,
  type ProductRecord,
  type ProductText,
  PLAIN_FIELDS,
  type PlainField,
} from '@wheat-ledger/contract';
import { libraryEntry, MATERIALS, ORIGINS, PRODUCT_FORMS } from '@wheat-ledger/core';
import type { TermKey } from '../glossary/terms';
import { EditForm, FormPart } from '../ui/EditForm';
import { DayField, LongField, SelectField, TextField } from '../ui/Field';
import { Sheet } from '../ui/Sheet';
import { useSaving } from '../ui/useSaving';
import { CopyTo } from '../ui/CopyTo';
import { useTakeOut } from '../ui/useTakeOut';
import { useTextForm } from '../ui/textForm';
import { Attachments } from '../ui/Attachments';
import { BagPages, useBagPage } from './BagPages';
import { LabelMargin } from './LabelMargin';
import { StockPart } from './StockPart';
import { textFromLibrary } from './startedText';
import { AnalysisLines } from './AnalysisLines';
import { DirectionRows, OfferRows, options } from './ProductRows';

const TERM_OF: Readonly<Partial<Record<string, TermKey>>> = {
  carbonToNitrogen: 'CN',
  saltIndex: 'saltIndex',
  limingPer100Kg: 'liming',
};

/** The plain fields of one part of the form, from their table. */
const PlainFields = ({ part }: { part: PlainField['part'] }) =>
  (PLAIN_FIELDS as readonly PlainField[])
    .filter((field) => field.part === part)
    .map(({ key, kind, label, placeholder, hint, wide }) => {
      const term = TERM_OF[key];
      const shared = {
        name: key,
        label,
        ...(hint ? { hint } : {}),
        ...(term ? { term } : {}),
        className: wide ? 'col-span-2' : '',
      };
      return kind === 'day' ? (
        <DayField key={key} {...shared} />
      ) : (
        <TextField
          key={key}
          {...shared}
          {...(placeholder ? { placeholder } : {})}
          {...(kind === 'number' ? { inputMode: 'decimal' as const } : {})}
        />
      );
    });

/** What living and bioactive products declare; folded away for all others. */
function Living() {
  const { getValues } = useFormContext<ProductText>();
  const fields = (PLAIN_FIELDS as readonly PlainField[]).filter((f) => f.part === 'living');
  const [some] = useState(() => fields.some(({ key }) => (getValues(key as keyof ProductText) as string) !== ''));
  return fields.length === 0 ? null : (
    <details open={some}>
      <summary className="cursor-pointer font-slab text-lg font-semibold">Living or bioactive</summary>
      <p className="mb-2 text-sm text-faint">
        Judged against the dose that was studied, not against nutrients. What nobody declares stays blank.
      </p>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
        <PlainFields part="living" />
      </div>
    </details>
  );
}

/** What is needed but seldom printed. */
function BeyondTheLabel() {
  const { register, getValues } = useFormContext<ProductText>();
  const labelText = getValues('labelText');
  return (
    <FormPart title="Not on the label" hint="leave blank what nobody measured or said">
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
        <SelectField
          name="organic.status"
          label="Listed as organic"
          term="organicListed"
          options={options(['unknown', 'yes', 'no'])}
        />
        <TextField name="organic.body" label="by which body" />
        <PlainFields part="beyond" />
      </div>
      <fieldset className="mt-2">
        <legend className="text-sm text-faint">Where it comes from</legend>
        <div className="flex flex-wrap gap-x-4">
          {ORIGINS.map((o) => (
            <label key={o} className="flex cursor-pointer items-center gap-1.5">
              <input type="checkbox" value={o} {...register('origins')} className="size-4 accent-wheat" />
              {o === 'waste' ? 'waste stream' : o}
            </label>
          ))}
        </div>
      </fieldset>
      {labelText !== '' && (
        <details className="mt-3">
          <summary className="cursor-pointer">The label as pasted</summary>
          <pre className="mt-1 max-h-64 overflow-auto border border-rule bg-paper p-2 text-sm whitespace-pre-wrap">
            {labelText}
          </pre>
        </details>
      )}
    </FormPart>
  );
}

/** @param startedBy what a new bag was started from, which has a draft of its own */
function ProductForm({
  record,
  start,
  startedBy = 'new',
}: {
  record?: ProductRecord;
  start?: ProductText | undefined;
  startedBy?: string;
}) {
  const navigate = useNavigate();
  const takeOut = useTakeOut('product', '/shelf');
  const saved = useMemo(() => (record ? productText(record) : (start ?? blankProduct())), [record, start]);
  const textForm = useTextForm<ProductText, ProductInput>({
    Input: ProductInput,
    saved,
    version: record?.version,
    read: readProduct,
    draft: `product.${record?.id ?? startedBy}`,
  });
  const { form } = textForm;
  const saving = useSaving({
    kind: 'product',
    textForm,
    existing: record && { id: record.id, version: textForm.base ?? record.version },
    toInput: (text) => readProduct(text).plain,
    nameOf: (p) => p.name,
    onSaved: () => navigate('/shelf'),
  });
  const typed = useWatch({ control: form.control }) as ProductText;
  const draft = useMemo(() => toProduct(readProduct(typed).plain, record?.id ?? 'draft'), [typed, record]);
  return (
    <Sheet
      title={record?.name ?? 'A new bag'}
      question={
        record ? 'What its label says, as it says it.' : 'Copy the label as it stands; the checks run while you type.'
      }
    >
      {record && <BagPages id={record.id} />}
      <EditForm<'product', ProductText>
        textForm={textForm}
        saving={saving.saving}
        trouble={saving.trouble}
        onSubmit={(e) => void saving.submit(e)}
        onSaveOver={(newer) => void saving.saveOver(newer)}
        describe={(newer) => (
          <>
            Theirs, saved as version {newer.version}: “{newer.name}”, {newer.analysis.length} lines of analysis,{' '}
            {newer.offers.length} packages.
          </>
        )}
        actions={
          <>
            <button
              type="button"
              className="action"
              onClick={() => {
                textForm.discardDraft();
                void navigate('/shelf');
              }}
            >
              Leave without saving
            </button>
            {record && <CopyTo kind="product" id={record.id} />}
            {record && (
              <button
                type="button"
                className="action ml-auto"
                onClick={() => void takeOut(record, `“${record.name}” was taken off the shelf.`)}
              >
                <Trash2 size={16} aria-hidden="true" />
                Take off the shelf
              </button>
            )}
          </>
        }
      >
        <FormPart title="The bag">
          <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
            <TextField name="name" label="Name" className="col-span-2" autoFocus={!record} />
            <TextField name="seller" label="Seller" className="col-span-2" />
            <TextField name="grade" label="Grade line" placeholder="5-3-4" hint="as printed, N-P₂O₅-K₂O" term="grade" />
            <SelectField name="form" label="Form" options={options(PRODUCT_FORMS)} />
            <TextField
              name="densityKgPerL"
              label="Density, kg/L"
              placeholder="not known"
              hint="needed for anything measured by volume"
              term="bulkDensity"
              className="col-span-2"
            />
          </div>
        </FormPart>
        <FormPart title="Guaranteed analysis" hint="a number, a range such as 0.4–0.7, or < 20 when below detection">
          <AnalysisLines />
        </FormPart>
        <FormPart title="Derived from">
          <LongField
            name="derivedFrom"
            label="Ingredients, separated by commas"
            placeholder="feather meal, potassium sulfate"
            hint={`${MATERIALS.length} materials are known by name; others are kept as you write them.`}
          />
        </FormPart>
        <FormPart title="Packages and prices">
          <OfferRows />
        </FormPart>
        <FormPart title="Directions" hint="each rate the label gives, in its own words">
          <DirectionRows />
          <div className="mt-3 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
            <TextField name="longevity.days" label="Coated: lasts, days" placeholder="not coated" term="longevity" />
            <TextField name="longevity.referenceC" label="rated at, °C" />
          </div>
          <LongField name="note" label="Note" className="mt-2" />
        </FormPart>
        <BeyondTheLabel />
        <Living />
        <Attachments
          owner={record && { productId: record.id }}
          title="Photos and papers"
          hint="of the label; a photo or a PDF of at most 5 MB"
          unsaved="Save the bag first; then its label’s photo can be kept with it."
        />
      </EditForm>
      {record && (
        <div className="mt-8">
          <StockPart product={record} />
        </div>
      )}
      <LabelMargin draft={draft} />
    </Sheet>
  );
}

/** A blank bag, or one started from the label desk or the library, handed over with the step here or named in the address. */
export function NewProduct() {
  const state = useLocation().state as { readonly start?: ProductText } | null;
  const [query] = useSearchParams();
  const entry = libraryEntry(query.get('from') ?? '');
  const named = useMemo(() => entry && textFromLibrary(entry), [entry]);
  if (state?.start) return <ProductForm start={state.start} startedBy="started" />;
  return <ProductForm key={entry?.name} start={named} startedBy={entry ? `of.${entry.name}` : 'new'} />;
}

export function EditProduct() {
  const page = useBagPage();
  return 'instead' in page ? page.instead : <ProductForm key={page.record.id} record={page.record} />;
}
