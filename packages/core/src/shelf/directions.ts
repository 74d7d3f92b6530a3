import { printRate, rateBasis, type RateBasis } from '../quantity/index.js';
import type { Direction, Product } from './product.js';

/** The directions told by ground, by plant, by row, by water or by medium. @example directionsBy(bag, 'water') // how it is thinned */
export const directionsBy = ({ directions }: Pick<Product, 'directions'>, basis: RateBasis): readonly Direction[] =>
  directions.filter((d) => rateBasis(d) === basis);

/** A direction in words. @example 'new beds: 30–50 g/m², 2 × a year' */
export const directionWords = (direction: Direction): string =>
  `${direction.use === '' ? '' : `${direction.use}: `}${printRate(direction)}${direction.perYear === undefined ? '' : `, ${direction.perYear} × a year`}`;
