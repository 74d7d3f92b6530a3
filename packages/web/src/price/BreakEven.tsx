import { useMemo, useState } from 'react';
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { carriageOf, cheapestPurchase, crossings, formatFixed, formatTrimmed } from '@wheat-ledger/core';
import { Choice } from '../ui/Choice';
import { styleOf } from '../ui/lineStyles';
import type { Buying } from './SeasonView';
import { EDGE } from '../ui/weekAxes';
import { useCarriage } from '../ui/CarriageFields';

const M2_PER_HA = 10_000;
const STEPS = 120;

interface BreakEvenProps {
  readonly buyings: readonly Buying[];
  readonly nitrogenKgPerHa: number;
  readonly areaM2: number;
  readonly currency: string;
}

/** What moves, from next to nothing to twice what it is. */
const MOVING = {
  ground: { text: 'the ground', title: 'As the ground grows', axis: 'm² of ground', unit: 'm²', now: 'your ground' },
  rate: { text: 'the rate', title: 'As the rate grows', axis: 'kg N/ha', unit: 'kg N/ha', now: 'your rate' },
  price: { text: 'a price', title: 'As a price moves', axis: '% of its price', unit: '%', now: 'its price' },
} as const;
type Moving = keyof typeof MOVING;

/** What a season costs as the ground, the rate or a price moves, a line for each bag, and where the cheapest changes. */
export function BreakEven({ buyings, nitrogenKgPerHa, areaM2, currency }: BreakEvenProps) {
  const carriage = useCarriage();
  const [moving, setMoving] = useState<Moving>('ground');
  const [dearer, setDearer] = useState(0);
  const words = MOVING[moving];
  const now = { ground: areaM2, rate: nitrogenKgPerHa, price: 100 }[moving];
  const most = Math.max(now * 2, 10);
  const costs = useMemo(
    () =>
      buyings.map(({ product, nitrogen, packages }, n) => (x: number): number | undefined => {
        const ground = moving === 'ground' ? x : areaM2;
        const rate = moving === 'rate' ? x : nitrogenKgPerHa;
        const factor = moving === 'price' && n === dearer ? x / 100 : 1;
        const needKg = (rate * ground) / M2_PER_HA / nitrogen;
        const purchase = cheapestPurchase(
          packages.map((p) => ({ ...p, price: p.price * factor })),
          needKg,
        );
        return purchase && purchase.paid + carriageOf([{ product, purchase }], carriage);
      }),
    [buyings, nitrogenKgPerHa, areaM2, carriage, moving, dearer],
  );
  const points = useMemo(
    () =>
      Array.from({ length: STEPS + 1 }, (_, i) => {
        const x = (most * Math.max(i, 0.2)) / STEPS;
        return { x, ...Object.fromEntries(costs.map((cost, n) => [`c${n}`, cost(x)])) };
      }),
    [costs, most],
  );
  // A choice is between the two that are cheapest as things are now; where a price moves, between that bag and the cheapest other.
  const [first, second] = useMemo(() => {
    const byCost = costs
      .map((cost, n) => ({ n, cost, paid: cost(now) ?? Number.POSITIVE_INFINITY }))
      .sort((a, b) => a.paid - b.paid);
    return moving === 'price'
      ? byCost.filter(({ n }, _at, all) => n === dearer || n === all.find((c) => c.n !== dearer)?.n)
      : byCost;
  }, [costs, now, moving, dearer]);
  const crossed = useMemo(
    () => (first && second ? crossings(first.cost, second.cost, [most / STEPS, most]).slice(0, 6) : []),
    [first, second, most],
  );
  const nameOf = (n: number | undefined): string => (n === undefined ? '' : (buyings[n]?.product.name ?? ''));
  if (buyings.length === 0) return null;
  return (
    <section className="mt-6">
      <div className="mb-1 flex flex-wrap items-center gap-x-4 gap-y-1">
        <h2 className="mr-auto text-xl">{words.title}</h2>
        <span className="no-print flex flex-wrap items-center gap-2 text-[0.9375rem]">
          {moving === 'price' && (
            <select
              className="field !w-auto"
              aria-label="Whose price moves"
              value={dearer}
              onChange={(e) => setDearer(Number(e.target.value))}
            >
              {buyings.map(({ product }, n) => (
                <option key={product.id} value={n}>
                  {product.name}
                </option>
              ))}
            </select>
          )}
          <Choice
            label="What moves"
            value={moving}
            onChange={setMoving}
            options={(Object.keys(MOVING) as Moving[]).map((value) => ({ value, text: MOVING[value].text }))}
          />
        </span>
      </div>
      <div
        className="h-72"
        role="img"
        aria-label={`Cost of a season from 0 to ${formatTrimmed(most, 3)} ${words.unit} for ${buyings.length} bags.`}
        data-testid="ground-chart"
      >
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 12, right: 20, bottom: 18, left: 6 }}>
            <CartesianGrid stroke="var(--rule)" vertical={false} />
            <XAxis
              {...EDGE}
              dataKey="x"
              type="number"
              domain={[0, most]}
              tickFormatter={(v: number) => formatTrimmed(v, 3)}
              label={{
                value: words.axis,
                position: 'insideBottom',
                offset: -10,
                fill: 'var(--faint)',
                fontSize: 13,
              }}
            />
            <YAxis
              {...EDGE}
              width={52}
              label={{
                value: `${currency} a season`,
                angle: -90,
                position: 'insideLeft',
                fill: 'var(--faint)',
                fontSize: 13,
                dy: 40,
              }}
            />
            <Tooltip
              isAnimationActive={false}
              formatter={(value) => `${formatFixed(Number(value), 2)} ${currency}`}
              labelFormatter={(x) => `${formatTrimmed(Number(x), 3)} ${words.unit}`}
            />
            <ReferenceLine
              x={now}
              stroke="var(--pine)"
              strokeDasharray="2 3"
              label={{ value: words.now, fontSize: 12, fill: 'var(--faint)', position: 'insideTopRight' }}
            />
            {crossed.map(({ at }) => (
              <ReferenceLine key={at} x={at} stroke="var(--wheat)" />
            ))}
            {buyings.map(({ product }, n) => (
              <Line
                key={product.id}
                dataKey={`c${n}`}
                name={product.name}
                type="stepAfter"
                stroke={styleOf(n).ink}
                strokeDasharray={styleOf(n).dash}
                strokeWidth={2}
                dot={false}
                isAnimationActive={false}
              />
            ))}
          </LineChart>
        </ResponsiveContainer>
      </div>
      <ul className="flex flex-wrap gap-x-4 text-sm text-faint">
        {buyings.map(({ product }, n) => (
          <li key={product.id} className="flex items-center gap-1.5">
            <svg width="26" height="6" aria-hidden="true">
              <path d="M0 3H26" stroke={styleOf(n).ink} strokeWidth="2" strokeDasharray={styleOf(n).dash} />
            </svg>
            {product.name}
          </li>
        ))}
      </ul>
      {first && second && (
        <p className="mt-2 text-[0.9375rem]" data-testid="break-even">
          {crossed.length === 0
            ? `${nameOf(first.n)} is cheaper than ${nameOf(second.n)} at any ${words.axis} up to ${formatTrimmed(most, 3)}.`
            : crossed
                .map(({ at, cheaper }) => {
                  const [less, more] = cheaper === 'first' ? [first, second] : [second, first];
                  return `From ${formatTrimmed(at, 3)} ${words.unit} on, ${nameOf(less.n)} is cheaper than ${nameOf(more.n)}.`;
                })
                .join(' ')}
        </p>
      )}
    </section>
  );
}
