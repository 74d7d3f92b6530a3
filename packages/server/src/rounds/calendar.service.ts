import { Injectable } from '@nestjs/common';
import ical, { ICalAlarmType, ICalEventTransparency } from 'ical-generator';
import {
  toApplication,
  toDosedPlot,
  toLog,
  toProduct,
  toSeason,
  toSite,
  type ApplicationInput,
  type Kept,
  type LoggerRecord,
  type PlotRecord,
  type ProductRecord,
  type ProgrammeRecord,
  type RecordKind,
  type RecordOf,
} from '@wheat-ledger/contract';
import {
  applied,
  bagAs,
  datesOf,
  printAmount,
  siteSoilTemperature,
  taskKey,
  weighedWords,
  WHERE_WORDS,
  type Application,
  type Season,
} from '@wheat-ledger/core';
import { Stores } from '../records/stores.service.js';

/** Days of warmth that growth stages are looked for in. */
const YEAR = 366;
interface Named {
  readonly name: string;
}

/** Every round as a calendar that others can read: what, where, and what to prepare the day before. */
@Injectable()
export class CalendarService {
  constructor(private readonly stores: Stores) {}

  private async all<K extends RecordKind>(kind: K): Promise<readonly RecordOf<K>[]> {
    const found: (object & Kept)[] = [];
    let after: string | undefined;
    do {
      const page = await this.stores.of(kind).list({ limit: 500, ...(after === undefined ? {} : { after }) });
      found.push(...page.items);
      after = page.next ?? undefined;
    } while (after !== undefined);
    return found as unknown as readonly RecordOf<K>[];
  }

  /** iCalendar text. A task that is ticked off is not in it. */
  async write(): Promise<string> {
    const [programmes, seasons, plots, crops, loggers, products, recipes, entries] = await Promise.all([
      this.all('programme'),
      this.all('season'),
      this.all('plot'),
      this.all('crop'),
      this.all('logger'),
      this.all('product'),
      this.all('recipe'),
      this.all('entry'),
    ]);
    const done = new Set(entries.flatMap((e) => e.task ?? []));
    const calendar = ical({
      name: 'Wheat Ledger rounds',
      prodId: { company: 'Wheat Ledger', product: 'rounds', language: 'EN' },
    });
    for (const programme of programmes) {
      const season = seasons.find((s) => s.id === programme.seasonId);
      const plot = plots.find((p) => p.id === season?.plotId);
      if (!season || !plot) continue;
      const logs = loggers.filter((l) => l.plotId === plot.id);
      const grown = toSeason(season, crops);
      const called = (a: ApplicationInput): string => nameOf(a, products, recipes);
      const weighs = (a: ApplicationInput, application: Application): string =>
        weightOf(
          application,
          products.find((p) => p.id === a.productId),
          plot,
          grown,
        );
      for (const event of eventsOf(programme, grown, warmthOf(plot, logs, season.from), called, weighs))
        if (!done.has(event.id))
          calendar
            .createEvent({
              id: `${event.id.replaceAll('/', '-')}@wheat-ledger`,
              start: event.on,
              allDay: true,
              summary: `${event.what}, ${plot.name}`,
              description: event.how,
              transparency: ICalEventTransparency.TRANSPARENT,
              stamp: programme.updatedAt,
            })
            .createAlarm({
              type: ICalAlarmType.display,
              trigger: 12 * 3600,
              description: `Prepare: ${event.what}, ${event.how}`,
            });
    }
    return calendar.toString();
  }
}

const warmthOf = (plot: RecordOf<'plot'>, logs: readonly LoggerRecord[], from: string): readonly number[] => {
  const { temperature } = toSite(plot, logs);
  return siteSoilTemperature({ temperature, logged: logs.map(toLog) }, from, YEAR);
};
/** What has to be weighed for it, "3.6 kg: "; empty where that cannot be told. */
function weightOf(
  application: Application,
  product: ProductRecord | undefined,
  plot: PlotRecord,
  season: Season,
): string {
  const dose = product && applied(application, bagAs(toProduct(product, product.id)), toDosedPlot(plot), season);
  return dose?.kind === 'applied' ? `${weighedWords(dose.whole.value.mid, 'kg')}: ` : '';
}
function nameOf(
  { what, productId, recipeId }: ApplicationInput,
  products: readonly (Named & Kept)[],
  recipes: readonly (Named & Kept)[],
): string {
  if (what === 'water') return 'Plain water';
  const id = what === 'product' ? productId : recipeId;
  return [...products, ...recipes].find((r) => r.id === id)?.name ?? 'A bag that is not here';
}

/** One day of one application. */
interface RoundEvent {
  readonly id: string;
  readonly on: string;
  readonly what: string;
  readonly how: string;
}
function eventsOf(
  programme: ProgrammeRecord,
  season: ReturnType<typeof toSeason>,
  warmth: readonly number[],
  called: (application: ApplicationInput) => string,
  weighs: (input: ApplicationInput, application: Application) => string,
): readonly RoundEvent[] {
  return programme.applications.flatMap((input, row) => {
    const application = toApplication(input);
    const weigh = weighs(input, application);
    const how = `${weigh}${printAmount(application.amount)}, ${WHERE_WORDS[application.where.kind]} (${programme.name})`;
    return (datesOf(application.when, season, warmth) ?? []).map((on) => ({
      id: taskKey(programme.id, row, on),
      on,
      what: called(input),
      how,
    }));
  });
}
