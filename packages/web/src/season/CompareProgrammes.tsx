import { useMemo, type ReactNode } from 'react';
import { toDosedPlot, type PlotRecord } from '@wheat-ledger/contract';
import {
  analyteName,
  commonestCurrency,
  compareFigures,
  computeProgramme,
  formatFixed,
  formatTrimmed,
  formatTrimmedRange,
  groupOf,
  holds,
  NUTRIENTS,
  organicMatterAdded,
  programmeBurden,
  programmeCase,
  programmeCost,
  programmeRelease,
  scaleRange,
  siteDays,
  splitOutcome,
  USUAL_WEIGHTS,
  windowWeeks,
  type ComputedProgramme,
  type Doing,
  type Figure,
  type Nutrient,
  type ReplayedYear,
  type SiteInSeason,
} from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { Remark } from '../ui/Sheet';
import { useTask } from '../ui/useTask';
import type { Planned } from '../workers/release.worker';
import { ADD_ONS, REPLAYS, type AddOnAsked } from './programmeJobs';
import { ofYears } from './YearsPart';
import { useSoilNitrogen } from './useSoilNitrogen';
import { useCounted, useCounting } from '../app/counted';
import { useShelf } from '../app/workspace';
import { useCarriage } from '../ui/CarriageFields';

/** A programme that is compared: one of the ledger's, nothing at all, or water only. */
export interface Candidate {
  readonly id: string;
  readonly name: string;
  readonly doings: readonly Doing[];
}

const M2_PER_HA = 10_000;
const G_PER_KG = 1000;
const PIECES: readonly Nutrient[] = ['N', 'P', 'K'];
/** Less than this share of the most complete programme is missing. */
const ENOUGH = 0.95;

interface Compared {
  readonly candidate: Candidate;
  readonly inNumbers: ComputedProgramme;
  readonly outcome: ReturnType<typeof splitOutcome>;
  readonly takenUp: number;
  readonly organicMatter: Figure | undefined;
}
const supplyOf = ({ inNumbers }: Compared, n: Nutrient): Figure | undefined =>
  inNumbers.totals.find((t) => t.analyte === n)?.supply;

/** kg of each piece that a programme lacks beside the most complete of those compared, on its ground. */
function missingPieces(
  one: Compared,
  all: readonly Compared[],
  ground: number,
): Readonly<Partial<Record<Nutrient, number>>> {
  return Object.fromEntries(
    PIECES.flatMap((n) => {
      const most = Math.max(...all.map((c) => supplyOf(c, n)?.value.mid ?? 0));
      const own = supplyOf(one, n)?.value.mid ?? 0;
      return own < most * ENOUGH ? [[n, ((most - own) * ground) / M2_PER_HA] as const] : [];
    }),
  );
}

/** Whether a figure may be as low as the lowest of its row: told as a tie. */
function ties(figures: readonly (Figure | undefined)[]): readonly boolean[] {
  const known = figures.filter((f): f is Figure => f !== undefined);
  const best = known.reduce<Figure | undefined>((b, f) => (b && b.value.mid <= f.value.mid ? b : f), undefined);
  return figures.map(
    (f) => f !== undefined && best !== undefined && f !== best && compareFigures(f, best).order === 'tie',
  );
}

const YEAR_LINES = [
  ['short', 'years the crop goes short in'],
  ['late', 'years nitrogen comes late in'],
  ['drains', 'years much of it drains in'],
] as const;

/** The cheapest of several that holds in eight years of ten, in a sentence. */
function holdsWords(all: readonly { name: string; paid: number | undefined; holds: boolean }[]): string {
  const [best] = all.filter((c) => c.holds && c.paid !== undefined).sort((a, b) => (a.paid ?? 0) - (b.paid ?? 0));
  return best
    ? `“${best.name}” is the cheapest of these that feeds the crop in eight years of ten.`
    : 'None of these feeds the crop in eight years of ten.';
}

function Line({ words, cells }: { words: ReactNode; cells: readonly ReactNode[] }) {
  return (
    <tr>
      <th scope="row" className="font-normal">
        {words}
      </th>
      {cells.map((cell, i) => (
        <td key={i} className="num">
          {cell ?? <span className="text-faint">–</span>}
        </td>
      ))}
    </tr>
  );
}
const number = (n: number): string => formatTrimmed(n, 3);

/** Up to three programmes side by side: what each brings, what the crop gets of it, what it costs as sold and with the missing pieces. */
export function CompareProgrammes({
  plot,
  site,
  candidates,
}: {
  plot: PlotRecord;
  site: SiteInSeason;
  candidates: readonly Candidate[];
}) {
  const soil = useSoilNitrogen(plot, site.season.from);
  const { shelf } = useShelf();
  const counting = useCounting();
  const products = useCounted(
    useMemo(() => shelf.map((s) => s.product), [shelf]),
    false,
  );
  const currency = useMemo(() => commonestCurrency(products), [products]);
  const ground = plot.areaM2 * site.season.share;
  const compared = useMemo((): readonly Compared[] => {
    const days = siteDays(site);
    const endWeek = windowWeeks(site, days);
    return candidates.map((candidate) => {
      const inNumbers = computeProgramme(candidate.doings, toDosedPlot(plot), site.season, days.temperatureC);
      const { run } = programmeRelease(inNumbers, site, days, soil);
      return {
        candidate,
        inNumbers,
        outcome: splitOutcome(run, days.demandKgPerHa, endWeek, USUAL_WEIGHTS),
        takenUp: run.takenUp[Math.min(endWeek * 7, run.takenUp.length - 1)] ?? 0,
        organicMatter: organicMatterAdded(programmeCase(inNumbers, site, days)),
      };
    });
  }, [candidates, site, plot, soil]);
  const missing = useMemo(() => compared.map((c) => missingPieces(c, compared, ground)), [compared, ground]);
  const asked = useMemo(
    (): AddOnAsked | undefined => (currency ? { shelf: products, currency, wanted: missing } : undefined),
    [products, currency, missing],
  );
  const addOns = useTask(ADD_ONS, asked).latest;
  const on = useMemo(() => toDosedPlot(plot), [plot]);
  const planned = useMemo(
    () => candidates.map(({ doings }): Planned => ({ doings, plot: on, site, soil })),
    [candidates, on, site, soil],
  );
  const replays = useTask(REPLAYS, planned).latest ?? [];
  const yearsOf = (i: number): readonly ReplayedYear[] => replays[i] ?? [];
  const replayed = replays.some((years) => years !== undefined && years.length > 0);
  const carriage = useCarriage();
  const costs = compared.map((c) =>
    currency ? programmeCost(c.inNumbers, currency, { counting, carriage }) : undefined,
  );
  const burdens = compared.map((c) => programmeBurden(c.inNumbers));
  const metals = NUTRIENTS.filter(
    (n) => groupOf(n) === 'contaminant' && compared.some((c) => c.inNumbers.totals.some((t) => t.analyte === n)),
  );
  const salts = burdens.map((b) => b.salt);
  const saltTies = ties(salts);
  return (
    <div className="overflow-x-auto">
      <table className="ledger" data-testid="compared">
        <caption className="sr-only">Programmes side by side</caption>
        <thead>
          <tr>
            <th scope="col">Side by side</th>
            {compared.map(({ candidate }) => (
              <th key={candidate.id} scope="col" className="num">
                {candidate.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {PIECES.map((n) => (
            <Line
              key={n}
              words={`${analyteName(n)} a crop can have, kg/ha`}
              cells={compared.map((c) => {
                const figure = supplyOf(c, n);
                return figure ? <FigureButton figure={figure} /> : '0';
              })}
            />
          ))}
          <Line words="nitrogen the crop takes up, kg/ha" cells={compared.map((c) => number(c.takenUp))} />
          <Line
            words="nitrogen it is short of, kg/ha"
            cells={compared.map((c) => (
              <span key="short" className={c.outcome.shortfall > 0.5 ? 'text-beet' : ''}>
                {number(c.outcome.shortfall)}
              </span>
            ))}
          />
          <Line words="left unused in the soil, kg N/ha" cells={compared.map((c) => number(c.outcome.surplus))} />
          <Line words="lost, kg N/ha" cells={compared.map((c) => number(c.outcome.loss))} />
          <Line
            words={`as sold, in whole packages, ${currency ?? ''}`}
            cells={costs.map((cost) => cost && <b key="paid">{formatFixed(cost.paid, 2)}</b>)}
          />
          <Line
            words={`used up of it, ${currency ?? ''}`}
            cells={costs.map((cost) => cost && formatFixed(cost.usedUp, 2))}
          />
          <Line
            words={
              <>
                with what it lacks beside the others, {currency}
                <span className="block text-sm text-faint">the missing N, P and K at their cheapest on the shelf</span>
              </>
            }
            cells={costs.map((cost, i) => {
              const found = addOns?.[i];
              const lacks = Object.keys(missing[i] ?? {});
              if (!cost || !found) return undefined;
              if (found.kind !== 'supply') return <span key="lack">no {lacks.join(', ')} on the shelf</span>;
              return (
                <span key="with">
                  {formatFixed(cost.usedUp + found.cost, 2)}
                  {lacks.length > 0 && <span className="block text-sm text-faint">+ {lacks.join(', ')}</span>}
                </span>
              );
            })}
          />
          <Line
            words={
              <>
                work and haulage, {currency}
                {!counting.hour && (
                  <span className="block text-sm text-faint">an hour’s worth is typed on the price pages</span>
                )}
              </>
            }
            cells={costs.map((cost) => {
              if (!cost) return undefined;
              if (cost.lines.length === 0) return '0';
              return (
                <span key="work">
                  {cost.handling && <FigureButton figure={cost.handling} />}
                  {!cost.handling && !counting.hour && <span className="text-faint">–</span>}
                  {counting.hour && cost.handlingUnknown.length > 0 && (
                    <span className="block text-sm text-faint">not known of {cost.handlingUnknown.join(', ')}</span>
                  )}
                </span>
              );
            })}
          />
          <Line
            words="the hardest to use, 1 hard to 5 easy"
            cells={costs.map((cost) => (cost?.ease === undefined ? undefined : number(cost.ease)))}
          />
          {replayed &&
            YEAR_LINES.map(([what, words]) => (
              <Line
                key={what}
                words={words}
                cells={compared.map((_, i) => yearsOf(i).length > 0 && ofYears(yearsOf(i), what))}
              />
            ))}
          <Line words="days out" cells={burdens.map((b) => String(b.passes))} />
          <Line
            words="to carry, kg"
            cells={burdens.map((b) => (b.carried ? <FigureButton key="kg" figure={b.carried} /> : '0'))}
          />
          <Line
            words="saltiest dose, g/m² as sodium nitrate"
            cells={burdens.map((b, i) =>
              b.salt ? (
                <span key="salt">
                  <FigureButton figure={b.salt} />
                  {saltTies[i] && <span className="block text-xs text-faint">tied with the lowest</span>}
                </span>
              ) : b.saltUnknown.length > 0 ? (
                <span key="unknown" className="text-sm text-faint">
                  not known of {b.saltUnknown.join(', ')}
                </span>
              ) : (
                '0'
              ),
            )}
          />
          <Line
            words="organic matter added, kg/ha"
            cells={compared.map((c) => (c.organicMatter ? <FigureButton key="om" figure={c.organicMatter} /> : '0'))}
          />
          {metals.map((metal) => (
            <Line
              key={metal}
              words={`${analyteName(metal)}, g/ha`}
              cells={compared.map((c) => {
                const total = c.inNumbers.totals.find((t) => t.analyte === metal);
                return total ? (
                  <FigureButton key="metal" figure={total.figure}>
                    {formatTrimmedRange(scaleRange(total.figure.value, G_PER_KG), 2)}
                  </FigureButton>
                ) : undefined;
              })}
            />
          ))}
        </tbody>
      </table>
      {replayed && (
        <p className="mt-2" data-testid="holds">
          {holdsWords(
            compared.map((c, i) => ({
              name: c.candidate.name,
              paid: costs[i]?.usedUp,
              holds: holds(yearsOf(i)),
            })),
          )}
        </p>
      )}
      {costs.some((c) => (c?.unpriced.length ?? 0) > 0) && (
        <Remark tone="note">
          Without a price, and not counted: {[...new Set(costs.flatMap((c) => c?.unpriced ?? []))].join(', ')}.
        </Remark>
      )}
    </div>
  );
}
