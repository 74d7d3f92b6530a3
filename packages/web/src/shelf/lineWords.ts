import type { LineText } from '@wheat-ledger/contract';
import { analyteName, formulaText, readBasisWord, symbolIn, type Analyte, type Nutrient } from '@wheat-ledger/core';

/** A line of an analysis as a person would read it out. */
export interface LineWords {
  /** Whether it is a part of the nitrogen above it. */
  readonly part: boolean;
  readonly amount: string;
  readonly name: string;
  /** Where it comes from, when that is not simply the bag's label. */
  readonly from: string;
}

const isForm = (analyte: string): boolean => analyte.startsWith('N.');

/** @example lineWords({ analyte: 'P', basis: 'P2O5', value: '8', unit: '%', provenance: 'label', source: 'bag label' }) // P₂O₅ 8 %, phosphorus */
export function lineWords({ analyte, value, unit, basis, provenance, source }: LineText): LineWords {
  const name = analyteName(analyte as Analyte);
  const { basis: compound, extract } = readBasisWord(basis);
  const told = value.trim() === '' ? 'not typed yet' : `${value.trim()} ${unit}`;
  const symbol = isForm(analyte) ? '' : formulaText(symbolIn(analyte as Nutrient, compound));
  return {
    part: isForm(analyte),
    amount: symbol ? `${symbol} ${told}` : told,
    name: extract ? `${name}, what an extract holds` : name,
    from: provenance === 'label' && source === 'bag label' ? '' : `${provenance}: ${source || 'source not said'}`,
  };
}
