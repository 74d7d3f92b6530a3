import { product as times, sum, type Figure } from '../figure/index.js';
import { loggedOn, type DailyLog, type Texture } from '../ground/index.js';
import { addDays, daysBetween, formatTrimmed, printDay } from '../quantity/index.js';
import { shareOfMix, type Application, type ComputedRow, type Crop, type Given, type Season } from '../season/index.js';
import { readIngredients } from '../shelf/index.js';
import { labelMost } from './need.js';

/** A programme with all that a round has to know of it. */
export interface Planned {
  readonly programmeId: string;
  readonly name: string;
  readonly plotId: string;
  readonly plotName: string;
  readonly season: Season;
  readonly rows: readonly ComputedRow[];
  readonly logged?: readonly DailyLog[] | undefined;
  /** Of the plot's soil; where it is not said, nothing is said of it. */
  readonly texture?: Texture | undefined;
}
export const TASK_STATES = ['late', 'due', 'coming', 'done'] as const;
export type TaskState = (typeof TASK_STATES)[number];

/** One application on one of its days. */
export interface Task {
  /** Names it for good: it is ticked off by it, once. */
  readonly key: string;
  readonly planned: Planned;
  readonly row: ComputedRow;
  readonly on: string;
  readonly state: TaskState;
  /** What to mind before it is done: the weather, the plants, the calendar. */
  readonly minds: readonly Mind[];
}
/** Something to mind; a hard one says that it should not be done like this. */
export interface Mind {
  readonly hard: boolean;
  readonly text: string;
}

/** What a task is ticked off by. @example taskKey('p', 0, '2026-05-01') // 'p/0/2026-05-01' */
export const taskKey = (programmeId: string, row: number, on: string): string => `${programmeId}/${row}/${on}`;

/** Rain or watering that takes urea and ammonium into the ground, mm; much more takes them through it. */
export const WATERED_IN_MM = { least: 12, most: 40 } as const;
/** Air above which dry roots burn, °C. */
export const HOT_C = 28;

const SOLUBLE = new Set(['inWater', 'foliar']);
const brings = (given: Given, pattern: RegExp): boolean =>
  given.parts.some(({ product }) => readIngredients(product.derivedFrom).known.some((m) => pattern.test(m.name)));

/** The latest day on which nitrogen still does good; undefined where it is not known. */
export function latestNitrogen(crop: Crop, { to }: Pick<Season, 'to'>, firstFrost?: string): string | undefined {
  const { latestNitrogen: latest } = crop;
  if (!latest) return undefined;
  const before = latest.before === 'harvest' ? to : firstFrost;
  return before && addDays(before, -latest.days);
}

/** Soluble nitrogen that sand still holds at once, kg N/ha; more of it goes out in two or three times. */
export const MOST_AT_ONCE_ON_SAND = 50;
/** Before planting, bare ground loses what is soluble: so many days are still no matter. */
export const BEFORE_PLANTING_DAYS = 21;
const FORMS: ReadonlySet<string> = new Set(['N.nitrate', 'N.ammoniacal', 'N.urea']);

/** What lies outside the days or the strength that season and soil allow. */
function windowMinds({ season, texture }: Planned, { applied }: ComputedRow, on: string): readonly Mind[] {
  const told = applied.kind === 'unknown' ? [] : applied.brings.filter((b) => FORMS.has(b.analyte));
  const soluble = told.reduce((all, b) => all + b.figure.value.mid, 0);
  const early = daysBetween(on, season.from);
  return [
    ...(season.to !== undefined && on > season.to
      ? [{ hard: true, text: `The season ended on ${printDay(season.to)}.` }]
      : []),
    ...(soluble > 0 && early > BEFORE_PLANTING_DAYS
      ? [{ hard: true, text: `Nothing grows here until ${printDay(season.from)}: soluble nitrogen would be lost.` }]
      : []),
    ...(texture === 'sand' && soluble > MOST_AT_ONCE_ON_SAND
      ? [
          {
            hard: false,
            text: `${formatTrimmed(soluble, 2)} kg of soluble nitrogen a hectare at once drain out of sand: give it in ${Math.ceil(soluble / MOST_AT_ONCE_ON_SAND)} parts.`,
          },
        ]
      : []),
  ];
}

/** What has to be minded of nitrogen that gas or late growth would lose. */
function nitrogenMinds({ season }: Planned, { application, given }: ComputedRow['doing'], on: string): readonly Mind[] {
  const late = latestNitrogen(season.crop, season);
  const bringsNitrogen = given.parts.some(({ product }) => product.analysis.some((l) => l.analyte === 'N'));
  const urea = application.where.kind === 'surface' && brings(given, /urea|ammoni/i);
  return [
    ...(bringsNitrogen && late !== undefined && on > late
      ? [{ hard: true, text: `After ${printDay(late)} nitrogen makes soft growth or comes too late for this crop.` }]
      : []),
    ...(urea
      ? [
          {
            hard: false,
            text: `Water it in within a day, with ${WATERED_IN_MM.least} mm at least and not above ${WATERED_IN_MM.most} mm.`,
          },
        ]
      : []),
  ];
}

/** By rounding, a dose that is a hair over the label is the label's. */
const HAIR = 1.001;
/** Nothing is advised above the label's highest rate. */
function labelMinds({ applied, doing }: ComputedRow): readonly Mind[] {
  const [only] = doing.given.parts;
  const most = only && doing.given.parts.length === 1 ? labelMost(only.product) : undefined;
  if (most === undefined || applied.kind === 'unknown' || applied.perM2.value.low <= most * HAIR) return [];
  const text = `The label of ${only?.product.name ?? ''} asks for ${formatTrimmed(most * 1000)} g/m² at most: this is ${formatTrimmed(applied.perM2.value.mid * 1000)}.`;
  return [{ hard: true, text }];
}

/** What the air and the sky of the last days say, where a station wrote them down. */
function weatherMinds({ logged = [] }: Planned, { where }: Application, on: string): readonly Mind[] {
  const rain = [0, 1, 2].flatMap((back) => loggedOn(logged, 'rainMm', addDays(on, -back)) ?? []);
  const air = loggedOn(logged, 'airC', on) ?? loggedOn(logged, 'airC', addDays(on, -1));
  const fallen = rain.reduce((a, b) => a + b, 0);
  const dry = rain.length > 0 && fallen < 1;
  return [
    ...(where.kind === 'foliar'
      ? [{ hard: false, text: 'In the cool of the morning, also under the leaves, never above the lower label rate.' }]
      : []),
    ...(SOLUBLE.has(where.kind) && air !== undefined && air >= HOT_C
      ? [{ hard: true, text: `It is ${formatTrimmed(air)} °C: wet the roots first, or wait for a cooler day.` }]
      : []),
    ...(where.kind === 'inWater' && dry && (air === undefined || air < HOT_C)
      ? [{ hard: false, text: 'It has not rained for three days: wet dry roots first.' }]
      : []),
    ...(fallen > WATERED_IN_MM.most
      ? [{ hard: true, text: `${formatTrimmed(fallen)} mm fell in three days: what is soluble would be washed out.` }]
      : []),
  ];
}

/** What a station wrote of a day, for the log; empty where it wrote nothing. @example weatherWords(logged, '2026-05-01') // '4 mm of rain, 17 °C' */
export function weatherWords(logged: readonly DailyLog[], on: string): string {
  const rain = loggedOn(logged, 'rainMm', on);
  const air = loggedOn(logged, 'airC', on);
  return [
    ...(rain === undefined ? [] : [`${formatTrimmed(rain, 2)} mm of rain`]),
    ...(air === undefined ? [] : [`${formatTrimmed(air, 2)} °C`]),
  ].join(', ');
}

function stateOf(on: string, today: string, done: boolean): TaskState {
  if (done) return 'done';
  if (on < today) return 'late';
  return on === today ? 'due' : 'coming';
}

/**
 * What falls due from one day to another over all programmes, by day and plot. What was not done before the first day and is not ticked off comes along.
 * @param done keys of what is ticked off
 * @param today ISO date
 * @param back so many days an undone task is still asked for
 * @example tasksBetween(plans, '2026-05-04', '2026-05-10', new Set(), '2026-05-04').filter((t) => t.state === 'due')
 */
export function tasksBetween(
  plans: readonly Planned[],
  from: string,
  to: string,
  done: ReadonlySet<string>,
  today: string,
  back = 14,
): readonly Task[] {
  const tasks = plans.flatMap((planned) =>
    planned.rows.flatMap((row, i) =>
      (row.dates ?? []).flatMap((on): Task[] => {
        const key = taskKey(planned.programmeId, i, on);
        const state = stateOf(on, today, done.has(key));
        const overdue = state === 'late' && on < from && daysBetween(on, from) <= back;
        if ((on < from && !overdue) || on > to) return [];
        const { application } = row.doing;
        return [
          {
            key,
            planned,
            row,
            on,
            state,
            minds: [
              ...labelMinds(row),
              ...windowMinds(planned, row, on),
              ...nitrogenMinds(planned, row.doing, on),
              ...weatherMinds(planned, application, on),
            ],
          },
        ];
      }),
    ),
  );
  return tasks.sort(
    (a, b) =>
      a.on.localeCompare(b.on) || a.planned.plotName.localeCompare(b.planned.plotName) || a.key.localeCompare(b.key),
  );
}

/** What to carry of one bag over several tasks. */
export interface Carried {
  readonly productId: string;
  readonly name: string;
  readonly kg: Figure;
}
/** What a round asks to be carried, and of what nobody can tell how much. */
export interface Carrying {
  readonly bags: readonly Carried[];
  readonly unknown: readonly { readonly name: string; readonly why: string }[];
}

/** How much of each bag one task takes, kg on all of its part. */
export function bagsOf({ row }: Pick<Task, 'row'>): readonly Carried[] {
  const { applied, doing } = row;
  if (applied.kind === 'unknown') return [];
  return doing.given.parts.map(({ product, share }) => ({
    productId: product.id,
    name: product.name,
    kg: share === 1 ? applied.whole : times(`${product.name} of it`, 'kg', [applied.whole, shareOfMix(share)]),
  }));
}

/** All that a round takes of each bag, the most first. */
export function carry(tasks: readonly Task[]): Carrying {
  const open = tasks.filter((t) => t.state !== 'done');
  const bags = new Map<string, Carried[]>();
  for (const bag of open.flatMap(bagsOf)) bags.set(bag.productId, [...(bags.get(bag.productId) ?? []), bag]);
  return {
    bags: [...bags.values()]
      .flatMap((list): Carried[] => {
        const [first] = list;
        if (!first) return [];
        const kg =
          list.length === 1
            ? first.kg
            : sum(
                `${first.name} for the round`,
                'kg',
                list.map((b) => b.kg),
              );
        return [{ ...first, kg }];
      })
      .sort((a, b) => b.kg.value.mid - a.kg.value.mid),
    unknown: open.flatMap(({ row: { applied, doing } }) =>
      applied.kind === 'unknown' && doing.given.parts.length > 0 ? [{ name: doing.given.name, why: applied.why }] : [],
    ),
  };
}
