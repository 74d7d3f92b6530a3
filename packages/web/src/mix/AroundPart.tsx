import { useFormContext } from 'react-hook-form';
import { formatFixed, formatTrimmed, weighedWords, type Aim, type BlendTarget, type Mixture } from '@wheat-ledger/core';
import type { RecipeText } from './recipeText';
import { ruleTextOf } from './ruleText';
import { SaltCurve } from './SaltCurve';
import type { Surrounds } from './useBlend';

/** What a little more of the aim is told in: per kg of mix, in all of amounts, per kg of its first nutrient of a ratio. */
export const aimUnit = (
  aim: Aim,
  currency: string | undefined,
  target: BlendTarget | undefined,
  surrounds: Surrounds | undefined,
): string => {
  const inAll = target?.kind === 'amount';
  const per = surrounds?.around.per;
  const perWhat = per === undefined ? ' per kg' : ` per kg ${per}`;
  switch (aim) {
    case 'weighted':
    case 'cost':
      return inAll ? `${currency ?? ''} in all` : `${currency ?? ''}${perWhat}`;
    case 'salt':
      return `points of salt index${per === undefined ? '' : perWhat}`;
    case 'mass':
      return inAll ? 'kg' : `kg${perWhat}`;
    case 'fewest':
      return 'materials';
  }
};
/** Only those that are nearest to being in are told. */
const MOST_ENTERING = 3;
/** Less than this is not shown. */
const NOTHING = 5e-4;
/** What another recipe comes to beside this one, as the end of a sentence. */
export function moreWords(extra: number | undefined, unit: string): string {
  if (extra === undefined) return 'it cannot be made';
  if (Math.abs(extra) < NOTHING) return 'it comes to the same';
  return `it comes to ${formatFixed(Math.abs(extra), 3)} ${unit} ${extra > 0 ? 'more' : 'less'}`;
}

const stepWords = (by: number, kind: BlendTarget['kind']): string => {
  switch (kind) {
    case 'grade':
      return `${formatTrimmed(by)} %`;
    case 'ratio':
      return `${formatTrimmed(by)} part`;
    case 'amount':
      return weighedWords(by, 'kg');
  }
};

/** What lies around the recipe, in sentences: a little more of a nutrient, without a material, a bag that would be in at a lower price. */
export function AroundPart({
  surrounds,
  unit,
  currency,
  target,
  mix,
}: {
  surrounds: Surrounds;
  unit: string;
  currency: string | undefined;
  target: BlendTarget;
  mix: Mixture;
}) {
  const { getValues, setValue } = useFormContext<RecipeText>();
  const { around, curve } = surrounds;
  const leaveOut = (productId: string): void =>
    setValue('rules', [...getValues('rules'), ruleTextOf({ kind: 'leaveOut', productId })], { shouldDirty: true });
  const lock = (productId: string): void => {
    const part = mix.components.find((c) => c.product.id === productId);
    if (!part) return;
    const share = Number(((part.kg / mix.totalKg) * 100).toPrecision(3));
    setValue('rules', [...getValues('rules'), ruleTextOf({ kind: 'share', productId, low: share, high: share })], {
      shouldDirty: true,
    });
  };
  return (
    <section className="mt-6 flex flex-col gap-4" data-testid="around">
      <h2 className="font-slab text-lg font-semibold">What would change it</h2>
      <ul className="flex flex-col gap-1">
        {around.steps.map(({ symbol, by, extra }) => (
          <li key={symbol}>
            With {stepWords(by, target.kind)} more {symbol} {moreWords(extra, unit)}.
          </li>
        ))}
        {around.without.map(({ productId, name, extra }) => (
          <li key={productId}>
            Without {name} {moreWords(extra, unit)}.{' '}
            {extra !== undefined && (
              <button type="button" className="plain no-print" onClick={() => leaveOut(productId)}>
                Leave it out
              </button>
            )}{' '}
            <button type="button" className="plain no-print" onClick={() => lock(productId)}>
              Keep its share
            </button>
          </li>
        ))}
        {around.lowEnd && (
          <li>
            To hold the target even where each bag holds the least it may, {moreWords(around.lowEnd.extra, unit)}.{' '}
            {around.lowEnd.recipe && (
              <button
                type="button"
                className="plain no-print"
                onClick={() => setValue('hold', 'low', { shouldDirty: true })}
              >
                Hold it so
              </button>
            )}
          </li>
        )}
        {[true, false].flatMap((priced) =>
          around.enters
            .filter((e) => e.hasPrice === priced)
            .slice(0, MOST_ENTERING)
            .map(({ name, below }) => (
              <li key={name}>
                {name} {priced ? '' : 'has no price here: it '}would be in below {formatFixed(below, 3)} {currency} per
                kg.
              </li>
            )),
        )}
      </ul>
      {curve.length > 1 && <SaltCurve curve={curve} currency={currency} />}
    </section>
  );
}
