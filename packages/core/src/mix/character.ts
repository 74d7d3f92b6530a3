import { product as times, quotient, sum, type Figure } from '../figure/index.js';
import { FORM_NAMES, type NitrogenForm } from '../nutrient/index.js';
import { saltIndexOf } from '../season/index.js';
import { massFraction, type Product } from '../shelf/index.js';
import { mixAsProduct } from './asProduct.js';
import { limingFigure } from './liming.js';
import type { Mixture } from './mixture.js';

/** A property of a mix as the mean of its parts by weight, or the parts of which nobody said it. */
export type OfMix =
  { readonly kind: 'figure'; readonly figure: Figure } | { readonly kind: 'unknown'; readonly of: readonly string[] };
/** What a mix is besides its nutrients. */
export interface MixCharacter {
  /** By weight, sodium nitrate = 100; filler counts as none. */
  readonly salt: OfMix;
  /** kg of CaCO3 that 100 kg are worth as lime; below zero it acidifies. */
  readonly liming: OfMix;
  /** Shares of the mix, kg/kg; empty where not every part with nitrogen tells its forms. */
  readonly forms: readonly { readonly form: NitrogenForm; readonly figure: Figure }[];
}

function meanOf(mix: Mixture, label: string, unit: string, of: (product: Product) => Figure | undefined): OfMix {
  const unknown = mix.components.filter((c) => !of(c.product)).map((c) => c.product.name);
  if (unknown.length > 0) return { kind: 'unknown', of: unknown };
  const parts = mix.weights.flatMap(({ product, weight }) => {
    const own = of(product);
    return own ? [times(`${label} of ${product.name} × its weight`, unit, [weight, own])] : [];
  });
  const figure = quotient(`${label} of the mix`, unit, sum('all parts', unit, parts), mix.total);
  return figure ? { kind: 'figure', figure } : { kind: 'unknown', of: [] };
}

/**
 * What a mix is besides its nutrients: salt, liming effect, and the forms of its nitrogen.
 * @example mixCharacter(mixture([{ product: urea, kg: 1 }])).salt // 75.4
 */
export function mixCharacter(mix: Mixture): MixCharacter {
  const whole = mixAsProduct('mix', 'the mix', mix);
  return {
    salt: meanOf(mix, 'salt index', '', saltIndexOf),
    liming: meanOf(mix, 'liming effect', '%', limingFigure),
    forms: (Object.keys(FORM_NAMES) as NitrogenForm[]).flatMap((form) => {
      const reading = massFraction(whole, `N.${form}`);
      return reading.kind === 'figure' ? [{ form, figure: reading.figure }] : [];
    }),
  };
}
