import type { RecipeInput } from '@wheat-ledger/contract';
import { toRule } from '@wheat-ledger/contract';
import { formatTrimmed, ruleWords, type Component, type WordChange } from '@wheat-ledger/core';

const AIM_WORDS = {
  cost: 'the cost',
  salt: 'the salt',
  mass: 'the weight',
  fewest: 'the number of bags',
  weighted: 'several together',
} as const;

/** What of each bag a mix holds, per cent of its weight, by the bag's name. */
const shares = (components: readonly Component[]): ReadonlyMap<string, string> => {
  const whole = components.reduce((sum, c) => sum + c.kg, 0);
  return new Map(
    components.map(({ product, kg }) => [product.name, `${formatTrimmed((kg / whole) * 100, 3)} % of the weight`]),
  );
};

/** A recipe as a list of things that are said of it. */
function said(recipe: RecipeInput, nameOf: (productId: string) => string): ReadonlyMap<string, string> {
  const rules = (recipe.rules ?? []).flatMap((rule): (readonly [string, string])[] => {
    const read = toRule(rule);
    return read ? [[ruleWords(read, nameOf), rule.on ? 'holds' : 'off']] : [];
  });
  return new Map([
    ['name', recipe.name],
    ['meant to be', recipe.target],
    ['for', recipe.madeFor ?? ''],
    ['may exceed', `${formatTrimmed(recipe.tolerance * 100, 3)} %`],
    ['made small', AIM_WORDS[recipe.aim ?? 'cost']],
    ['batch', `${formatTrimmed(recipe.batchKg, 4)} kg`],
    ['parts measured', `by ${recipe.by}`],
    ...rules.map(([words, state]) => [`rule: ${words}`, state] as const),
  ]);
}

const differing = (before: ReadonlyMap<string, string>, after: ReadonlyMap<string, string>): readonly WordChange[] =>
  [...new Set([...before.keys(), ...after.keys()])].flatMap((what) => {
    const change = { what, before: before.get(what) ?? '', after: after.get(what) ?? '' };
    return change.before === change.after ? [] : [change];
  });

/** One version of a recipe, with its parts by weight where they can be told. */
export interface RecipeVersion {
  readonly input: RecipeInput;
  readonly components: readonly Component[] | undefined;
}
/**
 * What differs between two versions of a recipe: what of each bag is in it, the target, the batch, and its rules.
 * @param nameOf the name of a bag
 */
export const recipeChanges = (
  before: RecipeVersion,
  after: RecipeVersion,
  nameOf: (productId: string) => string,
): readonly WordChange[] => [
  ...differing(shares(before.components ?? []), shares(after.components ?? [])),
  ...differing(said(before.input, nameOf), said(after.input, nameOf)),
];
