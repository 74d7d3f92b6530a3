import { memo, useMemo, useState } from 'react';
import type { PlotRecord } from '@wheat-ledger/contract';
import { formatGiven, formatGivenRange, formatRange, isExact, type Figure } from '@wheat-ledger/core';
import { usePrinting } from './usePrinting';
import { OwnFigureForm, useOwnFigures, type AssumedIn } from './OwnFigure';

/** What is assumed of a bag, or of the plot and the year where there is none. */
export interface AssumedOf {
  readonly product: { readonly id: string; readonly name: string } | undefined;
  readonly assumptions: readonly Figure[];
}

interface Row {
  readonly figure: Figure;
  /** The bags it is assumed of, each with its own name for it. */
  readonly of: readonly AssumedIn[];
}
/** Each assumption once; those that differ by material keep the names of their bags. */
function assumptionRows(assumed: readonly AssumedOf[]): readonly Row[] {
  const found = new Map<string, { figure: Figure; of: AssumedIn[] }>();
  for (const { product, assumptions } of assumed)
    for (const figure of assumptions) {
      const key = `${figure.label}|${formatRange(figure.value)}`;
      const row = found.get(key) ?? { figure, of: [] };
      if (product && !row.of.some((o) => o.productId === product.id))
        row.of.push({ productId: product.id, name: product.name, key: keyOf(figure) });
      found.set(key, row);
    }
  return [...found.values()];
}
const keyOf = ({ how }: Figure): string | undefined => (how.kind === 'assumption' ? how.key : undefined);

/** How many assumptions something rests on. */
export const assumptionsOf = (assumed: readonly AssumedOf[]): number => assumptionRows(assumed).length;

function AssumptionRow({ figure, of, bags, plot }: Row & { readonly bags: number; readonly plot: PlotRecord }) {
  const own = useOwnFigures(plot);
  const [open, setOpen] = useState(false);
  const how = figure.how.kind === 'assumption' ? figure.how : undefined;
  const places = own.placesOf(keyOf(figure), of);
  return (
    <>
      <tr>
        <th scope="row">{figure.label}</th>
        <td className="num">{formatGiven(figure.value.mid)}</td>
        <td className="num">{isExact(figure.value) ? 'fixed' : formatGivenRange(figure.value)}</td>
        <td>{figure.unit.text}</td>
        <td className="text-faint">
          {how?.usual && <b className="text-moss">yours: </b>}
          {how?.source}
          {of.length > 0 && of.length < bags && `; ${of.map((o) => o.name).join(', ')}`}
        </td>
        <td className="no-print">
          {places.length > 0 && (
            <button type="button" className="plain" aria-expanded={open} onClick={() => setOpen(!open)}>
              {open ? 'Close' : 'Change'}
              <span className="sr-only"> {figure.label}</span>
            </button>
          )}
        </td>
      </tr>
      {open && places.length > 0 && (
        <tr className="no-print">
          <td colSpan={6}>
            <OwnFigureForm figure={figure} places={places} own={own} onDone={() => setOpen(false)} />
          </td>
        </tr>
      )}
    </>
  );
}

function AssumptionTable({
  rows,
  assumed,
  plot,
}: {
  rows: ReturnType<typeof assumptionRows>;
  assumed: readonly AssumedOf[];
  plot: PlotRecord;
}) {
  const bags = useMemo(() => new Set(assumed.flatMap((a) => (a.product ? [a.product.id] : []))).size, [assumed]);
  return (
    <table className="ledger mt-2 text-[0.9375rem]">
      <thead>
        <tr>
          <th scope="col">Assumption</th>
          <th scope="col" className="num">
            used
          </th>
          <th scope="col" className="num">
            range
          </th>
          <th scope="col">unit</th>
          <th scope="col">from, and for which bags</th>
          <th scope="col" className="no-print">
            <span className="sr-only">Yours</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <AssumptionRow key={row.figure.label + row.of.map((o) => o.name).join()} {...row} bags={bags} plot={plot} />
        ))}
      </tbody>
    </table>
  );
}

/** The assumptions with their ranges, in a list that opens; each can be replaced by a figure of one's own. */
export const Assumptions = memo(function Assumptions({
  assumed,
  plot,
}: {
  assumed: readonly AssumedOf[];
  plot: PlotRecord;
}) {
  const [open, setOpen] = useState(false);
  const printing = usePrinting();
  const rows = useMemo(() => assumptionRows(assumed), [assumed]);
  const title = `What was assumed (${rows.length})`;
  if (printing) {
    return (
      <section className="mt-6" data-testid="assumptions">
        <h2 className="font-slab text-lg font-semibold">{title}</h2>
        <AssumptionTable rows={rows} assumed={assumed} plot={plot} />
      </section>
    );
  }
  return (
    <details className="mt-6" data-testid="assumptions" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer font-slab text-lg font-semibold">{title}</summary>
      {open && <AssumptionTable rows={rows} assumed={assumed} plot={plot} />}
    </details>
  );
});
