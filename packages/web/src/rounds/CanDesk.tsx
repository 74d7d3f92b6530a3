import { Fragment, useState } from 'react';
import { Plus, Trash2 } from 'lucide-react';
import {
  analyteName,
  canOf,
  canRate,
  cansFor,
  formatTrimmed,
  formatTrimmedRange,
  isPowder,
  parseNumber,
  parseQuantity,
  type CanFill,
  type CanRate,
  type Poured,
  type Product,
} from '@wheat-ledger/core';
import { useShelf } from '../app/workspace';
import { FigureButton } from '../ui/FigureButton';
import { Remark } from '../ui/Sheet';
import { Desk, Fields, Typing, useTyped } from './desk';

interface Row {
  readonly productId: string;
  readonly amount: string;
  readonly caked: boolean;
}
const SHOWN = ['N', 'P', 'K', 'Ca', 'Mg', 'S'];

/** A typed amount as what is poured; undefined where it cannot be read. */
function pouredOf(product: Product, text: string): Poured | undefined {
  const mass = parseQuantity(text, 'mass', product.form === 'liquid' ? undefined : 'g');
  const read = mass.ok ? mass : parseQuantity(text, 'volume', 'mL');
  return read.ok && read.value > 0 ? { product, amount: read.value, unit: read.unit.symbol } : undefined;
}

/** What the label says of a litre, or what can be offered where it says nothing. */
function RateLine({
  rate,
  litres,
  wanted,
  onTake,
}: {
  rate: CanRate;
  litres: number;
  wanted: number;
  onTake: (amount: string) => void;
}) {
  if (rate.kind === 'label')
    return (
      <p className="text-[0.9375rem] text-faint">
        Its label: {rate.words}.{' '}
        <button
          type="button"
          className="plain"
          onClick={() => onTake(`${formatTrimmed(rate.perL * litres, 3)} ${rate.unit}`)}
        >
          Take {formatTrimmed(rate.perL * litres, 3)} {rate.unit}
        </button>
      </p>
    );
  return (
    <p className="text-[0.9375rem]">
      <span className="text-beet">No rate: {rate.why}.</span>{' '}
      {rate.perL ? (
        <span className="text-faint">
          By its analysis{' '}
          <FigureButton figure={rate.perL}>
            {formatTrimmedRange(rate.perL.value, 3)} {rate.unit}
          </FigureButton>{' '}
          a litre would hold {formatTrimmed(wanted, 3)} mg N, if your plants take that. Ask the seller first.
        </span>
      ) : (
        <span className="text-faint">Nor can one be told from its analysis. Ask the seller.</span>
      )}
    </p>
  );
}

function Held({ can, litres, plants }: { can: CanFill; litres: number; plants: number | undefined }) {
  const { strength } = can;
  const perPlant = plants !== undefined ? can.grams / plants : undefined;
  return (
    <div data-testid="can" className="mt-3">
      {strength && (
        <p>
          A litre holds{' '}
          {strength.contents
            .filter((c) => SHOWN.includes(c.nutrient))
            .map((c, i) => (
              <Fragment key={c.nutrient}>
                {i > 0 && ', '}
                <b className={i === 0 ? 'text-lg' : ''}>{formatTrimmedRange(c.mgPerL, 3)} mg</b>{' '}
                {analyteName(c.nutrient)}
              </Fragment>
            ))}{' '}
          <span className="text-faint">(mg/L is ppm)</span>; it adds <b>{formatTrimmedRange(strength.ec, 2)} mS/cm</b>{' '}
          to the water
          {strength.ecWithout.length > 0 && ` at least, as ${strength.ecWithout.join(', ')} give no figure`}. In the can
          are {formatTrimmed(can.grams, 3)} g: twice the water at this strength would be twice the dose.
          {perPlant !== undefined && ` Shared by its plants that is ${formatTrimmed(perPlant, 3)} g each.`}
        </p>
      )}
      {can.refused.map(({ name, why }) => (
        <Remark key={name} tone="caution">
          {name} is not counted: {why}.
        </Remark>
      ))}
      {can.apart.map(({ between, reason }) => (
        <Remark key={between.join()} tone="caution">
          Not in one can: {between.join(' and ')}, as {reason}.
        </Remark>
      ))}
      <ol className="ml-5 mt-2 list-decimal" aria-label={`How to fill the can of ${formatTrimmed(litres, 3)} L`}>
        {can.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </div>
  );
}

/** Several products in one can: how much of each, what it then holds, in which order they go in, and how many cans. */
export function CanDesk() {
  const { shelf } = useShelf();
  const can = useTyped('10 L', 'volume', 'L');
  const round = useTyped('25 L', 'volume', 'L');
  const [wanted, setWanted] = useState('100');
  const [shared, setShared] = useState('');
  const plants = parseNumber(shared);
  const [foliar, setFoliar] = useState(false);
  const [rows, setRows] = useState<readonly Row[]>([{ productId: '', amount: '', caked: false }]);
  const fits = shelf.filter((s) => s.product.form === 'liquid' || isPowder(s.product));
  const set = (at: number, change: Partial<Row>): void =>
    setRows(rows.map((r, i) => (i === at ? { ...r, ...change } : r)));
  const productOf = (id: string): Product | undefined => fits.find((s) => s.record.id === id)?.product;
  const strength = parseNumber(wanted);
  const wantedMg = strength.ok && strength.value > 0 ? strength.value : 100;
  const litres = can.value;
  const poured = rows.flatMap((r): Poured[] => {
    const product = productOf(r.productId);
    const found = product && pouredOf(product, r.amount);
    return found ? [found] : [];
  });
  const caked = new Set(rows.flatMap((r) => (r.caked ? [r.productId] : [])));
  const held = litres !== undefined && poured.length > 0 ? canOf(litres, poured, caked) : undefined;
  const count = litres !== undefined && round.value !== undefined ? cansFor(round.value, litres) : undefined;
  return (
    <Desk title="What goes into this can?">
      <Fields>
        <Typing label="The can holds" typed={can} className="w-32" />
        <Typing label="For all plants" typed={round} className="w-32" />
        <label className="w-32">
          <span className="block text-sm text-faint">Wanted, mg N/L</span>
          <input
            className="field !w-24"
            value={wanted}
            onChange={(e) => setWanted(e.target.value)}
            aria-invalid={!strength.ok}
          />
        </label>
        <label className="w-32">
          <span className="block text-sm text-faint">Plants to a can</span>
          <input className="field !w-24" value={shared} onChange={(e) => setShared(e.target.value)} />
        </label>
        <label className="flex items-center gap-1.5 self-end pb-1.5">
          <input
            type="checkbox"
            className="size-4 accent-wheat"
            checked={foliar}
            onChange={(e) => setFoliar(e.target.checked)}
          />
          for the leaves
        </label>
      </Fields>
      <ul className="mt-3 flex flex-col gap-2">
        {rows.map((row, i) => {
          const product = productOf(row.productId);
          const wrong = product && row.amount.trim() !== '' && !pouredOf(product, row.amount);
          return (
            <li key={i} className="border-l-[3px] border-rule pl-2.5">
              <div className="flex flex-wrap items-center gap-2">
                <select
                  className="field !w-60"
                  aria-label={`Product ${i + 1}`}
                  value={row.productId}
                  onChange={(e) => set(i, { productId: e.target.value })}
                >
                  <option value="">choose a product</option>
                  {fits.map((s) => (
                    <option key={s.record.id} value={s.record.id}>
                      {s.product.name}
                    </option>
                  ))}
                </select>
                <input
                  className="field !w-28"
                  aria-label={`Amount ${i + 1}`}
                  placeholder="50 mL or 5 g"
                  value={row.amount}
                  onChange={(e) => set(i, { amount: e.target.value })}
                  aria-invalid={wrong}
                />
                {product && isPowder(product) && (
                  <label className="flex items-center gap-1.5">
                    <input
                      type="checkbox"
                      className="size-4 accent-wheat"
                      checked={row.caked}
                      onChange={(e) => set(i, { caked: e.target.checked })}
                    />
                    it is caked or wet
                  </label>
                )}
                {rows.length > 1 && (
                  <button
                    type="button"
                    className="cursor-pointer"
                    onClick={() => setRows(rows.filter((_, at) => at !== i))}
                  >
                    <Trash2 size={15} aria-hidden="true" />
                    <span className="sr-only">Take product {i + 1} out of the can</span>
                  </button>
                )}
              </div>
              {wrong && <p className="text-beet">Read “{row.amount}”, expected an amount such as 50 mL or 5 g.</p>}
              {product?.scoop && (
                <p className="text-[0.9375rem] text-faint">
                  Your scoop holds {formatTrimmed(product.scoop.grams, 3)} g, level, not heaped.{' '}
                  <button
                    type="button"
                    className="plain"
                    onClick={() => set(i, { amount: `${formatTrimmed(product.scoop?.grams ?? 0, 4)} g` })}
                  >
                    One scoop
                  </button>
                </p>
              )}
              {product && litres !== undefined && (
                <RateLine
                  rate={canRate(product, wantedMg, foliar)}
                  litres={litres}
                  wanted={wantedMg}
                  onTake={(amount) => set(i, { amount })}
                />
              )}
            </li>
          );
        })}
      </ul>
      <button
        type="button"
        className="plain mt-2 flex items-center gap-1"
        onClick={() => setRows([...rows, { productId: '', amount: '', caked: false }])}
      >
        <Plus size={15} aria-hidden="true" /> Another product in the same can
      </button>
      {held && litres !== undefined && (
        <Held can={held} litres={litres} plants={plants.ok && plants.value >= 1 ? plants.value : undefined} />
      )}
      {count && litres !== undefined && held && (
        <p className="mt-2" data-testid="cans">
          <b>
            {count.cans} {count.cans === 1 ? 'can' : 'cans'}
          </b>
          {count.lastL < litres - 1e-6 &&
            `, the last with ${formatTrimmed(count.lastL, 3)} L and ${formatTrimmed((count.lastL / litres) * 100, 3)} % of each amount`}
          .
        </p>
      )}
      {foliar && (
        <Remark tone="note">
          On leaves the lowest rate of the label, never more: in the cool of the morning, also under the leaves.
        </Remark>
      )}
    </Desk>
  );
}
