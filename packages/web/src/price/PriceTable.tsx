import { useMemo, useState } from 'react';
import { createColumnHelper, useTable, type SortingState } from '@tanstack/react-table';
import {
  COST_REASONS,
  costsPerUnit,
  symbolIn,
  type Cost,
  type CostQuestion,
  type Nutrient,
  type Product,
  type Ranking,
} from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { SORTABLE } from '../ui/sortable';
import { SortHeads } from '../ui/SortHeads';

interface Row {
  readonly product: Product;
  readonly rank: string;
  /** Of each nutrient, once in each currency. */
  readonly costs: Readonly<Partial<Record<Nutrient, readonly Cost[]>>>;
}

interface PriceTableProps {
  readonly products: readonly Product[];
  readonly nutrients: readonly Nutrient[];
  readonly chosen: Nutrient;
  readonly questionOf: (nutrient: Nutrient) => CostQuestion;
  readonly ranking: Ranking;
}

const helper = createColumnHelper<typeof SORTABLE, Row>();

/** Nutrients with a column of their own; any other has one while it is on the ladder. */
const ALWAYS: readonly Nutrient[] = ['N', 'P', 'K', 'Ca', 'Mg', 'S'];

const CostWords = ({ cost, currency }: { cost: Cost; currency: boolean }) =>
  cost.kind === 'cost' ? (
    <div>
      <FigureButton figure={cost.figure} />
      {currency && <span className="text-[0.8125rem] text-faint"> {cost.currency}</span>}
      {cost.counted === 'total' && <span className="text-[0.8125rem] text-faint"> total</span>}
    </div>
  ) : cost.kind === 'notDeclared' ? (
    <span className="text-faint">
      –<span className="sr-only"> not declared</span>
    </span>
  ) : (
    <span className="text-[0.8125rem] text-faint">{COST_REASONS[cost.kind]}</span>
  );
const CostCell = ({ costs = [], currency }: { costs: readonly Cost[] | undefined; currency: boolean }) => (
  <>
    {costs.map((cost, i) => (
      <CostWords key={i} cost={cost} currency={currency} />
    ))}
  </>
);

function rankWords(ranking: Ranking, product: Product): string {
  const lists = Object.entries(ranking.byCurrency);
  const words = lists.flatMap(([currency, list]) => {
    const found = list.rows().find((r) => r.product.id === product.id);
    return found ? [`${found.tied ? '=' : ''}${found.rank}${lists.length > 1 ? ` ${currency}` : ''}`] : [];
  });
  return words.join(', ') || '–';
}

/** Every bag against every nutrient; a heading sorts by its column. Bags without a figure stand last. */
export function PriceTable({ products, nutrients, chosen, questionOf, ranking }: PriceTableProps) {
  const [sorting, setSorting] = useState<SortingState>([]);
  const data = useMemo(
    () =>
      products.map((product): Row => ({
        product,
        rank: rankWords(ranking, product),
        costs: Object.fromEntries(nutrients.map((n) => [n, costsPerUnit(product, questionOf(n))])),
      })),
    [products, nutrients, questionOf, ranking],
  );
  const currencies = useMemo(
    () => [
      ...new Set(
        data.flatMap((row) =>
          Object.values(row.costs)
            .flat()
            .flatMap((cost) => (cost.kind === 'cost' ? [cost.currency] : [])),
        ),
      ),
    ],
    [data],
  );
  const several = currencies.length > 1;
  const columns = useMemo(
    () =>
      helper.columns([
        helper.accessor((row) => row.product.name, { id: 'name', header: 'Bag' }),
        ...nutrients
          .filter((n) => ALWAYS.includes(n) || n === chosen)
          .map((n) =>
            helper.accessor(
              (row) => {
                const cost = row.costs[n]?.find((c) => c.kind === 'cost');
                return cost?.kind === 'cost' ? cost.figure.value.mid : undefined;
              },
              {
                id: n,
                header: symbolIn(n, questionOf(n).basis),
                sortUndefined: 'last',
                sortFn: 'basic',
                cell: ({ row }) => <CostCell costs={row.original.costs[n]} currency={several} />,
              },
            ),
          ),
      ]),
    [nutrients, chosen, questionOf, several],
  );
  const effective = sorting.length > 0 ? sorting : [{ id: chosen, desc: false }];
  const table = useTable({
    features: SORTABLE,
    columns,
    data,
    state: { sorting: effective },
    onSortingChange: setSorting,
  });
  return (
    <div className="overflow-x-auto">
      <table className="ledger" data-testid="price-table">
        <caption className="pb-1 text-left text-sm text-faint">
          Cost{currencies.length === 1 && ` in ${currencies[0]}`} per {questionOf(chosen).perUnit} of each nutrient,
          each bag at its cheapest package. <span className="no-print">Open any figure for its working. </span>A dash is
          not declared.
        </caption>
        <SortHeads
          table={table}
          first={
            <th scope="col" className="num">
              {symbolIn(chosen, questionOf(chosen).basis)} rank
            </th>
          }
          isNumber={(id) => id !== 'name'}
          onSort={setSorting}
        />
        <tbody>
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id}>
              <td className="num">{row.original.rank}</td>
              {row.getAllCells().map((cell) =>
                cell.column.id === 'name' ? (
                  <th key={cell.id} scope="row">
                    <table.FlexRender cell={cell} />
                  </th>
                ) : (
                  <td key={cell.id} className={`num ${cell.column.id === chosen ? 'bg-paper' : ''}`}>
                    <table.FlexRender cell={cell} />
                  </td>
                ),
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
