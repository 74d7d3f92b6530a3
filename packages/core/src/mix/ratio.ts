import { compoundPerElement, symbolIn } from '../nutrient/index.js';
import { midSupply, type Grade } from '../shelf/index.js';
import type { Component } from './mixture.js';

/** Whether a target is written as a ratio, whose strength is free: 2:0:1 and not 2-0-1. @example writtenAsRatio('2:0:1') // true */
export const writtenAsRatio = (text: string): boolean => /^\s*\d+(?:[.,]\d+)?\s*:/.test(text);

/** A nutrient of which a mix holds too little for a ratio, as it stands to the one it holds the most of. */
export interface RatioShort {
  readonly symbol: string;
  /** How many times as much of it there would have to be; infinite where there is none. */
  readonly factor: number;
  /** The ingredient that brings the most of it; undefined where none does. */
  readonly ingredient: string | undefined;
}
/** What a mix is against a ratio. */
export interface RatioCheck {
  /** The mix in the ratio's own numbers, the nutrient it holds the most of as asked. */
  readonly now: readonly { readonly symbol: string; readonly asked: number; readonly parts: number }[];
  readonly short: readonly RatioShort[];
}
/** Less than this share short is as asked. */
const NEAR = 0.02;

/**
 * Sets a mix against a ratio: which nutrient is short, by what factor, and which ingredient brings it.
 * @param components the mix, in any scale
 * @example ratioCheck([{ product: urea, kg: 1 }, { product: potash, kg: 1 }], parts).short // [{ symbol: 'N', factor: 1.3, ingredient: 'Urea' }]
 */
export function ratioCheck(components: readonly Component[], asked: Grade): RatioCheck {
  const held = asked.map(({ nutrient, basis, amount }) => {
    const brought = components.map(({ product, kg }) => ({
      name: product.name,
      kg: kg * midSupply(product, nutrient) * compoundPerElement(basis),
    }));
    const most = brought.reduce<(typeof brought)[number] | undefined>(
      (a, b) => (b.kg > (a?.kg ?? 0) ? b : a),
      undefined,
    );
    return {
      symbol: symbolIn(nutrient, basis),
      asked: amount,
      kg: brought.reduce((sum, b) => sum + b.kg, 0),
      ingredient: most?.name,
    };
  });
  const unit = Math.max(0, ...held.filter((h) => h.asked > 0).map((h) => h.kg / h.asked));
  return {
    now: held.map(({ symbol, asked: wanted, kg }) => ({ symbol, asked: wanted, parts: unit > 0 ? kg / unit : 0 })),
    short: held.flatMap(({ symbol, asked: wanted, kg, ingredient }): readonly RatioShort[] =>
      wanted > 0 && unit > 0 && kg / unit < wanted * (1 - NEAR)
        ? [{ symbol, factor: kg > 0 ? (wanted * unit) / kg : Infinity, ingredient }]
        : [],
    ),
  };
}
