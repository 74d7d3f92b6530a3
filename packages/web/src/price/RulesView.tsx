import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  analyteName,
  formatFixed,
  formatTrimmed,
  keepingWords,
  keeps,
  typedNumber,
  type Cheapest,
  type Keeping,
  type Nutrient,
  type Preference,
  type PreferencePrice,
  type Product,
  type Wanted,
} from '@wheat-ledger/core';
import { useCounted } from '../app/counted';
import { useSite } from '../app/seasons';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { useShelf } from '../app/workspace';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Loading } from '../ui/Sheet';
import { TaskNote } from '../ui/TaskNote';
import { useTask, type Job } from '../ui/useTask';
import type { PriceWorker } from '../workers/price.worker';
import { NumberField, numberIn } from '../ui/NumberField';
import { PricePage } from './PricePages';
import { Unpriced } from './Unpriced';
import { usePriced } from './usePriced';

interface Asked {
  readonly shelf: readonly Product[];
  readonly currency: string;
  readonly wanted: Wanted;
  readonly rules: readonly Preference[];
}
interface Answer {
  readonly without: Cheapest;
  readonly rules: readonly PreferencePrice[];
}
const RULES: Job<PriceWorker, Asked, Answer> = {
  what: 'the price of the rules',
  start: () => new Worker(new URL('../workers/price.worker.ts', import.meta.url), { type: 'module' }),
  run: (remote, { shelf, currency, wanted, rules }) => remote.preferences(shelf, currency, wanted, rules),
};

const COUNTED: readonly Nutrient[] = ['N', 'P', 'K'];
const M2_PER_HA = 10_000;

/** Rules that are priced for a crop's need; those about forms of nitrogen belong to a mix. */
const PRICED: readonly Keeping[] = ['listed', 'plants', 'notSynthetic', 'waste', 'unprocessed', 'noChloride', 'local'];
export const rulesFor = (shelf: readonly Product[], localKm: number): readonly Preference[] =>
  PRICED.map((what) => ({
    name: keepingWords(what, localKm),
    allowed: shelf.filter((p) => keeps(p, what, localKm) === true).map((p) => p.id),
  }));

const bundleText = (found: Extract<Cheapest, { kind: 'supply' }>): string =>
  found.bundle.map(({ bag, kg }) => `${formatTrimmed(kg, 3)} kg ${bag.product.name}`).join(', ');

function FoundCells({ found, extra }: { found: Cheapest; extra: number | undefined }) {
  if (found.kind === 'supply')
    return (
      <>
        <td className="num">{formatFixed(found.cost, 2)}</td>
        <td className="num">
          <b>{extra === undefined ? '' : extra === 0 ? 'nothing' : formatFixed(extra, 2)}</b>
        </td>
        <td className="text-[0.9375rem]">{bundleText(found)}</td>
      </>
    );
  return (
    <td colSpan={3} className="text-[0.9375rem] text-beet">
      {found.kind === 'lacking'
        ? `no bag that fits brings ${found.nutrients.map((n) => analyteName(n)).join(' or ')}`
        : 'the solver gave no answer'}
    </td>
  );
}

function LocalField() {
  const localKm = useAppSelector((s) => s.settings.localKm);
  const dispatch = useAppDispatch();
  const [text, setText] = useState(typedNumber(localKm));
  return (
    <div className="no-print mt-3">
      <NumberField
        label="Local is within, km"
        text={text}
        onText={(typed) => {
          setText(typed);
          dispatch(settingsSlice.actions.changed({ localKm: numberIn(typed, localKm) }));
        }}
      />
    </div>
  );
}

function Rules() {
  const { shelf, isLoading } = useShelf();
  const { plot, site } = useSite();
  const products = useCounted(useMemo(() => shelf.map((s) => s.product), [shelf]));
  const localKm = useAppSelector((s) => s.settings.localKm);
  const { currency, unpriced } = usePriced(products);
  const rules = useMemo(() => rulesFor(products, localKm), [products, localKm]);
  const wanted = useMemo((): Wanted | undefined => {
    if (!plot || !site) return undefined;
    const ground = (plot.areaM2 * site.season.share) / M2_PER_HA;
    const need = COUNTED.flatMap((n) => {
      const perHa = site.season.crop.uptakeKgPerHa[n]?.mid;
      return perHa === undefined ? [] : [[n, perHa * ground] as const];
    });
    return need.length > 0 ? Object.fromEntries(need) : undefined;
  }, [plot, site]);
  const asked = useMemo(
    () => (currency && wanted ? { shelf: products, currency, wanted, rules } : undefined),
    [products, currency, wanted, rules],
  );
  const task = useTask(RULES, asked);
  const answer = task.latest;
  if (isLoading) return <Loading what="the shelf" />;
  if (!wanted || !site)
    return (
      <Empty>
        A rule is priced for what a crop takes up.{' '}
        <Link to={plot ? `/ground/${plot.id}#seasons` : '/ground'} className="plain">
          Say what grows on the plot
        </Link>{' '}
        first.
      </Empty>
    );
  if (!currency) return <Empty>Nothing on the shelf has a price by weight.</Empty>;
  const needs = COUNTED.flatMap((n) => (wanted[n] === undefined ? [] : [`${formatTrimmed(wanted[n], 3)} kg ${n}`]));
  return (
    <>
      <div className="overflow-x-auto">
        <table className="ledger" data-testid="rule-prices">
          <caption className="pb-1 text-left text-sm text-faint">
            {needs.join(', ')} for {site.season.crop.name.toLowerCase()}, the cheapest way from the shelf; {currency}.
          </caption>
          <thead>
            <tr>
              <th scope="col">Rule</th>
              <th scope="col" className="num">
                Costs
              </th>
              <th scope="col" className="num">
                More than without
              </th>
              <th scope="col">Bought</th>
            </tr>
          </thead>
          <tbody>
            {answer && (
              <tr>
                <th scope="row">none</th>
                <FoundCells found={answer.without} extra={undefined} />
              </tr>
            )}
            {answer?.rules.map(({ name, found, extra }) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <FoundCells found={found} extra={extra} />
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <LocalField />
      <TaskNote task={task} what="the price of the rules" />
      <Unpriced products={unpriced} currency={currency} />
      <MarginNotes>
        <MarginNote title="What a rule costs">
          <p>
            The same need is bought twice: with the rule, and without. A rule is yours to keep; it makes no bag better.
          </p>
          <p>
            What nobody said about a bag counts against it: say on its label whether it is listed and what it comes
            from, and how far away.
          </p>
        </MarginNote>
        <MarginNote title="What this leaves out">
          <p>By weight, not in whole packages, and by what the bag holds, not by when it arrives.</p>
        </MarginNote>
      </MarginNotes>
    </>
  );
}

/** What each preference costs, by buying with and without it. */
export const RulesView = () => (
  <PricePage question="What does each of your rules cost?">
    <Rules />
  </PricePage>
);
