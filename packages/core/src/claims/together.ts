import {
  leaveOneOut,
  meanOfArms,
  pool,
  smallStudies,
  subgroups,
  type Effect,
  type Pooled,
  type SmallStudies,
  type Subgroup,
} from '../statistics/index.js';
import { DESIGN_WORDS, type Study } from './study.js';

/** A study with its effect, and what its control adds to the variance. */
export interface Counted {
  readonly study: Study;
  readonly effect: Effect & { readonly shared: number };
}
/** What is pooled as one: a study, or the arms of a trial that share a control. */
export interface PooledUnit {
  readonly name: string;
  readonly studies: readonly Study[];
  readonly effect: Effect;
}
/** How the pool looks from the side. */
export interface Looks {
  /** Without each unit in turn. */
  readonly without: readonly { readonly name: string; readonly pooled: Pooled }[];
  readonly groups: readonly { readonly by: string; readonly groups: readonly Subgroup[] }[];
  readonly small: SmallStudies | undefined;
}
export interface Together {
  readonly units: readonly PooledUnit[];
  /** The pool of two units or more; undefined otherwise. */
  readonly pooled: Pooled | undefined;
  readonly looks: Looks;
}

const trialOf = ({ trial, id }: Study): string => (trial === undefined || trial === '' ? `alone ${id}` : trial);

/** Arms of one trial as one unit, in the order in which they first come. */
function unitsOf(counted: readonly Counted[]): readonly PooledUnit[] {
  const trials = new Map<string, Counted[]>();
  for (const one of counted) {
    const key = trialOf(one.study);
    trials.set(key, [...(trials.get(key) ?? []), one]);
  }
  return [...trials.values()].flatMap((arms) => {
    const [first] = arms;
    if (!first) return [];
    const { effect, variance } = arms.length === 1 ? first.effect : meanOfArms(arms.map((a) => a.effect));
    const name = arms.length === 1 ? first.study.name : `${first.study.trial ?? ''} (${arms.length} arms)`;
    return [{ name, studies: arms.map((a) => a.study), effect: { effect, variance } }];
  });
}

const SAME_DOSE = 1.5;
function doseGroup(multiple: number | undefined): string {
  if (multiple === undefined) return 'dose not told';
  if (multiple > SAME_DOSE) return 'more than the label rate';
  return multiple < 1 / SAME_DOSE ? 'less than the label rate' : 'about the label rate';
}
const HERE_WORDS = { yes: 'crop and soil like here', no: 'another crop or soil', unknown: 'crop and soil not told' };
/** By what studies are told apart; a unit goes by its first arm. */
const GROUPINGS: readonly (readonly [by: string, groupOf: (study: Study) => string])[] = [
  ['design', (s) => DESIGN_WORDS[s.design]],
  ['dose', (s) => doseGroup(s.doseMultiple)],
  ['crop and soil', (s) => HERE_WORDS[s.likeHere]],
];

function looksAt(units: readonly PooledUnit[]): Looks {
  const effects = units.map((u) => u.effect);
  const groups = GROUPINGS.map(([by, groupOf]) => ({
    by,
    groups: subgroups(
      effects,
      units.map((u) => (u.studies[0] ? groupOf(u.studies[0]) : '')),
    ),
  })).filter((g) => g.groups.length > 1);
  return {
    without: leaveOneOut(effects).map((pooled, i) => ({ name: units[i]?.name ?? '', pooled })),
    groups,
    small: smallStudies(effects),
  };
}

/**
 * Pools studies: arms that share a control are put together first, then the pool is looked at without each, by group, and by size.
 * @example together(counted).pooled?.effect
 */
export function together(counted: readonly Counted[]): Together {
  const units = unitsOf(counted);
  return {
    units,
    pooled: units.length > 1 ? pool(units.map((u) => u.effect)) : undefined,
    looks: looksAt(units),
  };
}
