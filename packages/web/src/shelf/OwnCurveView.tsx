import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import {
  incubationText,
  ProductInput,
  productText,
  readIncubation,
  readProduct,
  type IncubationText,
  type ProductRecord,
} from '@wheat-ledger/contract';
import { calibrate, formatTrimmed, MEDIA, MEDIUM_NAMES, type Calibration, type FittedNumber } from '@wheat-ledger/core';
import { EditForm, FormPart } from '../ui/EditForm';
import { intervalEnd } from '../ui/intervalEnd';
import { LongField, SelectField, TextField } from '../ui/Field';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Remark, Sheet } from '../ui/Sheet';
import { useRecordForm } from '../ui/useRecordForm';
import { BagPages, useBagPage } from './BagPages';
import { CurveChart } from '../ui/CurveChart';

const MEDIUM_OPTIONS = MEDIA.map((value) => ({ value, text: MEDIUM_NAMES[value] }));

function Fitted({ words, number, scale, unit }: { words: string; number: FittedNumber; scale: number; unit: string }) {
  return (
    <tr>
      <th scope="row" className="font-normal">
        {words}
      </th>
      <td className="num">
        <b>{formatTrimmed(number.value * scale, 3)}</b> {unit}
      </td>
      <td className="num">
        {intervalEnd(number.low, scale)} to {intervalEnd(number.high, scale)}
      </td>
    </tr>
  );
}

/** What the samplings come to: the curve and its two numbers, or why there is none. */
function Result({ found }: { found: Calibration }) {
  if (found.kind === 'cannotFit')
    return (
      <Remark tone="caution">
        <b>A curve cannot be fitted.</b> {found.why}
      </Remark>
    );
  return (
    <>
      <CurveChart found={found} />
      <table className="ledger mt-3" data-testid="own-curve">
        <caption className="sr-only">The fitted curve</caption>
        <thead>
          <tr>
            <th scope="col">Released = N0 · (1 − e^(−k · days))</th>
            <th scope="col" className="num">
              Best
            </th>
            <th scope="col" className="num">
              95 in 100 lie in
            </th>
          </tr>
        </thead>
        <tbody>
          <Fitted words="N0, released in the end" number={found.n0} scale={100} unit="% of the N applied" />
          <Fitted words="k, how fast" number={found.kPerDay} scale={1} unit="a day" />
          <tr>
            <th scope="row" className="font-normal">
              Samplings about the curve
            </th>
            <td className="num">± {formatTrimmed(found.residualDeviation * 100, 2)} % of the N applied</td>
            <td className="num">
              {found.degreesOfFreedom} {found.degreesOfFreedom === 1 ? 'degree' : 'degrees'} of freedom
            </td>
          </tr>
        </tbody>
      </table>
      {found.remarks.map((remark) => (
        <Remark key={remark} tone="note">
          {remark}
        </Remark>
      ))}
    </>
  );
}

function OwnCurve({ record }: { record: ProductRecord }) {
  const saved = useMemo(() => incubationText(record.incubation), [record]);
  const bag = useMemo(() => {
    const text = productText(record);
    delete text.incubation;
    return readProduct(text).plain;
  }, [record]);
  const { form, edit } = useRecordForm<'product', IncubationText>({
    kind: 'product',
    Input: ProductInput,
    record,
    saved,
    part: 'incubation',
    read: (text) => {
      const { incubation, problems } = readIncubation(text);
      return { plain: incubation ? { ...bag, incubation } : bag, problems };
    },
    nameOf: (p) => p.name,
    onSaved: () => undefined,
  });
  const text = useWatch({ control: form.control }) as IncubationText;
  const found = useMemo(() => {
    const { incubation, problems } = readIncubation(text);
    return incubation && problems.length === 0 ? calibrate(incubation) : undefined;
  }, [text]);
  return (
    <>
      <section className="mb-6">
        {found ? (
          <Result found={found} />
        ) : (
          <Empty>Enter what the jars held, and the curve is fitted as you type.</Empty>
        )}
      </section>
      <EditForm<'product', IncubationText>
        {...edit}
        describe={(newer) => (
          <>
            Theirs, saved as version {newer.version}: {newer.incubation?.points.length ?? 0} samplings.
          </>
        )}
      >
        <FormPart title="The jars" hint="all nitrogen in one unit, such as mg N/kg">
          <div className="grid grid-cols-1 gap-x-4 gap-y-2 sm:grid-cols-[1fr_16rem]">
            <LongField
              name="samplings"
              label="Each line: day, mineral N of the treated jars, of the untreated jars"
              placeholder={'7   50   12\n14  85   14\n28  118  17'}
              rows={6}
            />
            <div className="flex flex-col gap-2">
              <TextField name="applied" label="Nitrogen applied with the bag" placeholder="200" inputMode="decimal" />
              <TextField name="temperatureC" label="Kept at, °C" inputMode="decimal" />
              <SelectField name="medium" label="In" options={MEDIUM_OPTIONS} />
            </div>
          </div>
        </FormPart>
      </EditForm>
      <MarginNotes>
        <MarginNote title="What it is for">
          <p>
            Once saved, Release follows this bag by its own curve, not by the class average of what it is made of. In
            another medium, or warmer and colder, it goes faster and slower from there.
          </p>
        </MarginNote>
        <MarginNote title="How it is fitted">
          <p>
            Net release is (treated − untreated) ÷ applied. First order, by least squares (Stanford & Smith 1972); the
            ranges are profile-likelihood intervals. Five samplings are worth having; the first within a week.
          </p>
        </MarginNote>
      </MarginNotes>
    </>
  );
}

/** The grower's own incubation of a bag, and the curve it gives. */
export function OwnCurveView() {
  const page = useBagPage();
  if ('instead' in page) return page.instead;
  return (
    <Sheet title={page.record.name} question="How fast does its nitrogen come free, by your own jars?">
      <BagPages id={page.record.id} />
      <OwnCurve key={page.record.id} record={page.record} />
    </Sheet>
  );
}
