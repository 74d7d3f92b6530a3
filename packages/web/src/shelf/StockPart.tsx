import { useId, useState, type FormEvent, type ReactNode } from 'react';
import { Trash2 } from 'lucide-react';
import type { MovementInput, MovementRecord, ProductRecord } from '@wheat-ledger/contract';
import {
  formatGiven,
  formatTrimmedRange,
  parseDay,
  parseQuantity,
  printDay,
  STOCK_REASON_WORDS,
  STOCK_REASONS,
  unitOf,
  type StockOnHand,
  type StockReason,
} from '@wheat-ledger/core';
import { today } from '../app/today';
import { FormPart } from '../ui/EditForm';
import { FigureButton } from '../ui/FigureButton';
import { useKeep } from '../ui/useKeep';
import { useTakeOut } from '../ui/useTakeOut';
import { useStockOf } from './useStock';

const TAKES: readonly StockReason[] = ['used', 'spoiled', 'givenAway'];

interface Typed {
  readonly amount: string;
  readonly reason: StockReason;
  readonly on: string;
  readonly lot: string;
}

/** What was typed as a movement, or what it does not say. A count is told as what is there, and kept as what it changes. */
function readMovement(typed: Typed, product: ProductRecord, stock: StockOnHand): MovementInput | string {
  const weighed = parseQuantity(typed.amount, 'mass', 'kg');
  const read = weighed.ok ? weighed : parseQuantity(typed.amount, 'volume');
  if (!read.ok) return weighed.ok ? read.reason : weighed.reason;
  const day = parseDay(typed.on);
  if (!day.ok) return day.reason;
  const base = { productId: product.id, reason: typed.reason, on: day.value, lot: typed.lot.trim(), note: '' };
  const unit = read.unit.symbol;
  if (typed.reason !== 'counted')
    return { ...base, amount: TAKES.includes(typed.reason) ? -read.value : read.value, unit };
  if (stock.kind === 'needsDensity')
    return 'A count needs the bag’s density, since some of it was weighed and some measured.';
  const before = stock.kind === 'figure' ? stock.figure : undefined;
  if (before && before.unit.text !== (read.unit.dimension === 'mass' ? 'kg' : 'L'))
    return `Read ${typed.amount.trim()}, expected the count in ${before.unit.text}, as the rest was measured.`;
  const amount = read.value - (before?.value.mid ?? 0) / unitOf(unit).factor;
  return amount === 0 ? 'That is what the book says already.' : { ...base, amount, unit };
}

function Row({ movement }: { movement: MovementRecord }) {
  const takeOut = useTakeOut('movement');
  const { amount, unit, reason, on, lot } = movement;
  return (
    <tr>
      <td className="whitespace-nowrap text-faint">{printDay(on)}</td>
      <th scope="row">{STOCK_REASON_WORDS[reason]}</th>
      <td className="text-faint">{lot}</td>
      <td className="num">
        {amount > 0 ? '+' : '−'}
        {formatGiven(Math.abs(amount))} {unit}
      </td>
      <td className="num">
        <button
          type="button"
          className="cursor-pointer text-faint hover:text-beet"
          onClick={() => void takeOut(movement, 'Took the movement out.')}
        >
          <Trash2 size={16} aria-hidden="true" />
          <span className="sr-only">
            Take out {STOCK_REASON_WORDS[reason]} {printDay(on)}
          </span>
        </button>
      </td>
    </tr>
  );
}

/** A small field with its label above it. */
function Labelled({ label, children }: { label: string; children: (id: string) => ReactNode }) {
  const id = useId();
  return (
    <div className="flex flex-col">
      <label htmlFor={id} className="text-sm text-faint">
        {label}
      </label>
      {children(id)}
    </div>
  );
}

/** What is left of a bag, what came and went, and a line to enter more. Apart from the label's form, so neither waits for the other. */
export function StockPart({ product }: { product: ProductRecord }) {
  const { movements, stock } = useStockOf(product);
  const { keep, saving } = useKeep('movement');
  const [typed, setTyped] = useState<Typed>({
    amount: '',
    reason: 'bought',
    on: printDay(today()),
    lot: '',
  });
  const [trouble, setTrouble] = useState<string>();
  const change = (part: Partial<Typed>): void => setTyped({ ...typed, ...part });
  const send = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const read = readMovement(typed, product, stock);
    if (typeof read === 'string') return setTrouble(read);
    setTrouble(undefined);
    await keep(
      read,
      undefined,
      `Stock of ${product.name}: ${typed.amount.trim()} ${STOCK_REASON_WORDS[typed.reason]}.`,
    );
    change({ amount: '' });
  };
  return (
    <FormPart title="Stock" hint="what came and went">
      <p className="mb-2" data-testid="stock">
        {stock.kind === 'figure' ? (
          <>
            On hand <FigureButton figure={stock.figure}>{formatTrimmedRange(stock.figure.value)}</FigureButton>{' '}
            {stock.figure.unit.text}
          </>
        ) : stock.kind === 'none' ? (
          <span className="text-faint">Nothing was entered yet.</span>
        ) : (
          <span className="text-faint">
            Some was weighed, some measured by volume: enter the density to add them up.
          </span>
        )}
      </p>
      <form onSubmit={(e) => void send(e)} className="no-print flex flex-wrap items-end gap-2">
        <Labelled label="Amount">
          {(id) => (
            <input
              id={id}
              className="field !w-28"
              placeholder="20 kg"
              autoComplete="off"
              value={typed.amount}
              onChange={(e) => change({ amount: e.target.value })}
            />
          )}
        </Labelled>
        <Labelled label="was">
          {(id) => (
            <select
              id={id}
              className="field !w-auto"
              value={typed.reason}
              onChange={(e) => change({ reason: e.target.value as StockReason })}
            >
              {STOCK_REASONS.map((r) => (
                <option key={r} value={r}>
                  {r === 'counted' ? 'counted, all there is' : STOCK_REASON_WORDS[r]}
                </option>
              ))}
            </select>
          )}
        </Labelled>
        <Labelled label="on">
          {(id) => (
            <input id={id} className="field !w-32" value={typed.on} onChange={(e) => change({ on: e.target.value })} />
          )}
        </Labelled>
        <Labelled label="Lot">
          {(id) => (
            <input
              id={id}
              className="field !w-28"
              placeholder="if printed"
              value={typed.lot}
              onChange={(e) => change({ lot: e.target.value })}
            />
          )}
        </Labelled>
        <button type="submit" className="action" disabled={saving || typed.amount.trim() === ''}>
          Enter it
        </button>
      </form>
      {trouble && (
        <p role="alert" className="mt-1 text-sm text-beet">
          {trouble}
        </p>
      )}
      {movements.length > 0 && (
        <table className="ledger mt-3" data-testid="movements">
          <thead>
            <tr>
              <th scope="col">Day</th>
              <th scope="col">What</th>
              <th scope="col">Lot</th>
              <th scope="col" className="num">
                Amount
              </th>
              <th scope="col">
                <span className="sr-only">Take out</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {movements.map((m) => (
              <Row key={m.id} movement={m} />
            ))}
          </tbody>
        </table>
      )}
    </FormPart>
  );
}
