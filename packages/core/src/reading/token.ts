import type { CompoundBasis, Nutrient } from '../nutrient/index.js';
import type { FigureUnit } from './units.js';
import type { Meaning } from './words/lookup.js';

interface At {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}
/** A piece of a line, with where it stands. */
export type Token = At &
  (
    | {
        readonly kind: 'number';
        /** What it can mean: one value, or two a factor of a thousand apart. None where it is no number. */
        readonly readings: readonly number[];
        /** A space parts its thousands: it may be two numbers. */
        readonly spaced: boolean;
      }
    | {
        /** A measure of a package: kg, fl oz. */
        readonly kind: 'unit';
        /** Symbols of the measures it can name; more than one where countries differ. */
        readonly units: readonly string[];
      }
    | {
        /** A unit that figures are told in: %, mg/kg; undefined for one that tells no content. */
        readonly kind: 'content';
        readonly unit: FigureUnit | undefined;
        readonly factor: number;
        readonly of: Nutrient | CompoundBasis | undefined;
      }
    | { readonly kind: 'word'; readonly means: ReadonlySet<Meaning> }
    | { readonly kind: 'sign'; readonly sign: string }
  );
export type NumberToken = Extract<Token, { kind: 'number' }>;
export type UnitToken = Extract<Token, { kind: 'unit' }>;
export type ContentToken = Extract<Token, { kind: 'content' }>;
export type WordToken = Extract<Token, { kind: 'word' }>;
/** Whether a token is a word that tells a thing. */
export const tells = (token: Token | undefined, ...meanings: readonly Meaning[]): boolean =>
  token?.kind === 'word' && meanings.some((m) => token.means.has(m));
/** Whether a token is one of these signs. */
export const isSign = (token: Token | undefined, signs: string): boolean =>
  token?.kind === 'sign' && signs.includes(token.sign);
