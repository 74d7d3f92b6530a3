import { useState, type ReactNode } from 'react';
import {
  acrossOrOut,
  dilutedMgPerL,
  dilutionReadings,
  formatTrimmed,
  mlPerCan,
  parseQuantity,
  ringArea,
  shareOfFeed,
  spreaderRate,
  sprayerRate,
  tankPpm,
  type Dimension,
  type Product,
} from '@wheat-ledger/core';
import { useShelf } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Remark, Sheet } from '../ui/Sheet';
import { CanPicture, RingPicture } from './dosePictures';
import { NeedDesk } from './NeedDesk';
import { RoundPages } from './RoundPages';

/** A typed quantity in canonical units, or why it is none. */
function useTyped(start: string, dimension: Dimension, assumed: string) {
  const [text, setText] = useState(start);
  const read = parseQuantity(text, dimension, assumed);
  return {
    text,
    setText,
    value: read.ok && read.value > 0 ? read.value * read.unit.factor : undefined,
    why: read.ok ? undefined : read.reason,
  };
}
type Typed = ReturnType<typeof useTyped>;

function Typing({ label, typed, className = 'w-40' }: { label: string; typed: Typed; className?: string }) {
  return (
    <label className={className}>
      <span className="block text-sm text-faint">{label}</span>
      <input
        className="field"
        value={typed.text}
        onChange={(e) => typed.setText(e.target.value)}
        aria-invalid={typed.why !== undefined}
      />
      {typed.why !== undefined && <span className="block text-sm text-beet">{typed.why}</span>}
    </label>
  );
}

const Desk = ({ title, children, picture }: { title: string; children: ReactNode; picture?: ReactNode }) => (
  <section className="border-b border-rule py-4">
    <h2 className="mb-2 text-lg">{title}</h2>
    <div className="flex flex-wrap items-start gap-6">
      <div className="min-w-0 flex-1">{children}</div>
      {picture}
    </div>
  </section>
);
const Fields = ({ children }: { children: ReactNode }) => (
  <div className="flex flex-wrap items-start gap-3">{children}</div>
);

/** What the feed holds of nitrogen, or why that cannot be told. @param mlPerL product to each litre of water */
function InTheFeed({ product, mlPerL }: { product: Product; mlPerL: number }) {
  const rate = {
    amount: mlPerL,
    unit: 'mL',
    per: { amount: 1, unit: 'L of water' },
    use: '',
    perYear: undefined,
  } as const;
  const held = dilutedMgPerL(product, rate, 'N');
  return (
    <>
      {held.kind === 'unknown' ? (
        <p className="mt-1 text-faint">How much nitrogen that is cannot be told: {held.why}.</p>
      ) : (
        <p className="mt-1">
          The feed then holds{' '}
          <b>
            <FigureButton figure={held.figure} /> mg N/L
          </b>{' '}
          (ppm). For the same through an injector of 1:100 the tank has to hold{' '}
          {formatTrimmed(tankPpm(held.figure.value.mid, 100), 3)} mg N/L.
        </p>
      )}
      {product.directions.length === 0 && (
        <Remark tone="caution">The label of {product.name} gives no dilution. Do not guess one: ask the seller.</Remark>
      )}
    </>
  );
}

/** "1:10" read both ways, for the can in the hand. */
function DilutionDesk() {
  const [ratio, setRatio] = useState('1:100');
  const [meant, setMeant] = useState<'toWater' | 'inAll'>('toWater');
  const [bagId, setBagId] = useState('');
  const can = useTyped('10 L', 'volume', 'L');
  const { shelf } = useShelf();
  const [, parts] = /^\s*1\s*[:/]\s*([\d.]+)\s*$/.exec(ratio) ?? [];
  const n = Number(parts);
  const fits = parts !== undefined && n >= 2 && Number.isFinite(n);
  const both = fits ? dilutionReadings(n) : undefined;
  const mL = fits && can.value !== undefined ? mlPerCan(can.value, n, meant) : undefined;
  const liquids = shelf.filter((s) => s.product.form === 'liquid');
  const product = liquids.find((s) => s.record.id === bagId)?.product;
  const share = fits ? shareOfFeed(n, meant) : undefined;
  return (
    <Desk
      title="How much in this can?"
      picture={share !== undefined && can.value !== undefined && <CanPicture litres={can.value} share={share} />}
    >
      <Fields>
        <label className="w-28">
          <span className="block text-sm text-faint">Dilution</span>
          <input className="field" value={ratio} onChange={(e) => setRatio(e.target.value)} aria-invalid={!fits} />
        </label>
        <Typing label="The can holds" typed={can} className="w-32" />
        <label>
          <span className="block text-sm text-faint">It means</span>
          <select className="field" value={meant} onChange={(e) => setMeant(e.target.value as typeof meant)}>
            <option value="toWater">one part to {parts ?? '…'} of water</option>
            <option value="inAll">one part in {parts ?? '…'} of feed</option>
          </select>
        </label>
        <label>
          <span className="block text-sm text-faint">Of</span>
          <select className="field" value={bagId} onChange={(e) => setBagId(e.target.value)}>
            <option value="">any liquid</option>
            {liquids.map((s) => (
              <option key={s.record.id} value={s.record.id}>
                {s.product.name}
              </option>
            ))}
          </select>
        </label>
      </Fields>
      {!fits && (
        <p className="mt-2 text-beet">Read “{ratio}”, expected a dilution such as 1:100, of 2 parts or more.</p>
      )}
      {both && (
        <p className="mt-2" data-testid="dilution">
          {mL !== undefined && (
            <>
              <b className="text-lg">{formatTrimmed(mL, 3)} mL</b> in the can, filled up with water.{' '}
            </>
          )}
          <span className="text-faint">
            To a litre of water that is {formatTrimmed(both.toWaterMlPerL, 3)} mL if it means one part to {parts}, and{' '}
            {formatTrimmed(both.inAllMlPerL, 3)} mL if it means one part in {parts}.
          </span>
        </p>
      )}
      {product && both && (
        <InTheFeed product={product} mlPerL={meant === 'toWater' ? both.toWaterMlPerL : both.inAllMlPerL} />
      )}
    </Desk>
  );
}

/** A ring around a plant, drawn to scale, and what goes on it. */
function RingDesk() {
  const inner = useTyped('20 cm', 'length', 'm');
  const outer = useTyped('60 cm', 'length', 'm');
  const perPlant = useTyped('80 g', 'mass', 'kg');
  const [from, to] = [inner.value ?? 0, outer.value ?? 0];
  const ring = to > from ? ringArea(from, to) : undefined;
  const two = to > 0 ? acrossOrOut(to) : undefined;
  return (
    <Desk title="How large is this ring?" picture={ring !== undefined && <RingPicture innerM={from} outerM={to} />}>
      <Fields>
        <Typing label="From the stem" typed={inner} className="w-32" />
        <Typing label="Out to" typed={outer} className="w-32" />
        <Typing label="For each plant" typed={perPlant} className="w-32" />
      </Fields>
      {ring === undefined ? (
        <p className="mt-2 text-beet">The outer edge has to be beyond the inner one.</p>
      ) : (
        <p className="mt-2" data-testid="ring">
          <b className="text-lg">{formatTrimmed(ring, 3)} m²</b> a plant
          {perPlant.value !== undefined && (
            <>
              , so that is <b>{formatTrimmed((perPlant.value * 1000) / ring, 3)} g/m²</b> on it
            </>
          )}
          . Keep it {formatTrimmed(from * 100, 3)} cm off the stem.
        </p>
      )}
      {two && (
        <p className="mt-1 text-faint">
          Is it {formatTrimmed(to * 100, 3)} cm out from the stem, or across? Across it would be{' '}
          {formatTrimmed(two.acrossM2, 3)} m² instead of {formatTrimmed(two.outM2, 3)} m²: a fourth.
        </p>
      )}
    </Desk>
  );
}

/** What a spreader or a sprayer really gives. */
function CalibrateDesk() {
  const caught = useTyped('12 g', 'mass', 'kg');
  const tray = useTyped('0.5 m²', 'area', 'm²');
  const used = useTyped('2 L', 'volume', 'L');
  const strip = useTyped('50 m²', 'area', 'm²');
  const spread =
    caught.value !== undefined && tray.value !== undefined ? spreaderRate(caught.value * 1000, tray.value) : undefined;
  const sprayed =
    used.value !== undefined && strip.value !== undefined ? sprayerRate(used.value, strip.value) : undefined;
  return (
    <Desk title="What does it really give?">
      <Fields>
        <Typing label="Spreader: caught" typed={caught} className="w-36" />
        <Typing label="on a tray of" typed={tray} className="w-32" />
        <p className="self-end pb-1.5" data-testid="spreader">
          {spread !== undefined && (
            <>
              <b>{formatTrimmed(spread / 10, 3)} g/m²</b>, {formatTrimmed(spread, 3)} kg/ha
            </>
          )}
        </p>
      </Fields>
      <div className="mt-3">
        <Fields>
          <Typing label="Sprayer: used" typed={used} className="w-36" />
          <Typing label="on a strip of" typed={strip} className="w-32" />
          <p className="self-end pb-1.5">
            {sprayed !== undefined && (
              <>
                <b>{formatTrimmed(sprayed / 10, 3)} mL/m²</b>, {formatTrimmed(sprayed, 3)} L/ha
              </>
            )}
          </p>
        </Fields>
      </div>
    </Desk>
  );
}

/** Cans, rings and spreaders: what a rate is in the hand. */
export const DoseView = () => (
  <Sheet title="Doses" question="How much of this bag, in the can, around a plant, out of the spreader?">
    <RoundPages />
    <NeedDesk />
    <DilutionDesk />
    <RingDesk />
    <CalibrateDesk />
    <MarginNotes>
      <MarginNote title="Before you pour">
        <p>
          Caked or wet powder has come apart: do not dose from it. Measure the can once by the bottle; a bucket says
          nothing of what it holds. Follow the label; where it is silent, there is no rate.
        </p>
      </MarginNote>
    </MarginNotes>
  </Sheet>
);
