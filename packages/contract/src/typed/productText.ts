import type { AnalysisFigureInput, DirectionInput, IncubationInput, OfferInput, ProductInput } from '../product.js';
import type { OwnFigureInput } from '../ownFigure.js';
import {
  basisWord,
  parseRate,
  plainAmount,
  printDeclared,
  printRate,
  readBasisWord,
  twoReadings,
  typedNumber,
  type AnalysisFigure,
  type AnalysisUnit,
  type Analyte,
  type DeclaredValue,
  type Direction,
  type OrganicStatus,
  type Origin,
  type ProductForm,
  type Provenance,
} from '@wheat-ledger/core';
import { toDirection } from '../toCore.js';
import { blankPlain, plainText, readPlain, type PlainText } from './productFields.js';
import { given, Reader, rowsWith, whenTyped, type ReadText } from './reader.js';

export interface LineText {
  analyte: string;
  value: string;
  unit: string;
  /** `element`, a compound, or either followed by `available` for what only an extract holds. */
  basis: string;
  provenance: string;
  source: string;
}
export interface OfferText {
  size: string;
  price: string;
  currency: string;
  seenOn: string;
  seller: string;
}
export interface DirectionText {
  /** The whole rate, such as 50 g/m². */
  amount: string;
  use: string;
  perYear: string;
}
/** A product as a person types it. */
export interface ProductText extends PlainText {
  name: string;
  seller: string;
  form: string;
  densityKgPerL: string;
  grade: string;
  analysis: LineText[];
  derivedFrom: string;
  offers: OfferText[];
  directions: DirectionText[];
  longevity: { days: string; referenceC: string };
  /** Kept as it is: it has a page of its own. */
  incubation?: IncubationInput;
  /** Kept as they are: they are changed where they are used. */
  ownFigures?: OwnFigureInput[];
  note: string;
  labelText: string;
  organic: { status: string; body: string };
  origins: string[];
  /** What is on hand, in a CSV file; it is kept as a stock movement. */
  stock: string;
}

export const blankLine = (analyte = 'N', basis = 'element'): LineText => ({
  analyte,
  value: '',
  unit: '%',
  basis,
  provenance: 'label',
  source: 'bag label',
});
export const blankOffer = (currency = 'EUR'): OfferText => ({ size: '', price: '', currency, seenOn: '', seller: '' });
export const blankDirection = (): DirectionText => ({ amount: '', use: '', perYear: '' });
export const blankProduct = (): ProductText => ({
  name: '',
  seller: '',
  form: 'granule',
  densityKgPerL: '',
  grade: '',
  analysis: [blankLine('N'), blankLine('P', 'P2O5'), blankLine('K', 'K2O')],
  derivedFrom: '',
  offers: [blankOffer()],
  directions: [blankDirection()],
  longevity: { days: '', referenceC: '21' },
  note: '',
  labelText: '',
  organic: { status: 'unknown', body: '' },
  origins: [],
  stock: '',
  ...blankPlain(),
});

/** A figure as a person types it. */
export const lineText = ({ value, basis, extract, ...line }: AnalysisFigureInput | AnalysisFigure): LineText => ({
  ...line,
  basis: basisWord(basis, extract),
  value: printDeclared(value as DeclaredValue),
});
const offerText = ({ size, unit, price, seenOn, seller }: OfferInput): OfferText => ({
  size: `${typedNumber(size)} ${unit}`,
  price: price ? (twoReadings(price.amount) ? `${price.amount}0` : price.amount) : '',
  currency: price?.currency ?? 'EUR',
  seenOn: seenOn ?? '',
  seller: seller ?? '',
});
/** A rate of the directions as a person types it. */
export const directionText = (d: Direction): DirectionText => ({
  amount: printRate(d),
  use: d.use,
  perYear: typedNumber(d.perYear),
});

/** A kept product as the text that would make it. */
export const productText = (p: ProductInput): ProductText => ({
  name: p.name,
  seller: p.seller,
  form: p.form,
  densityKgPerL: typedNumber(p.densityKgPerL),
  grade: p.grade ?? '',
  analysis: p.analysis.map(lineText),
  derivedFrom: p.derivedFrom.join(', '),
  offers: p.offers.map(offerText),
  directions: p.directions?.length ? p.directions.map((d) => directionText(toDirection(d))) : [blankDirection()],
  longevity: p.longevity
    ? { days: typedNumber(p.longevity.days), referenceC: typedNumber(p.longevity.referenceC) }
    : { days: '', referenceC: '21' },
  ...given('incubation', p.incubation),
  ...given('ownFigures', p.ownFigures),
  note: p.note,
  labelText: p.labelText ?? '',
  organic: p.organic ? { status: p.organic.status, body: p.organic.body } : { status: 'unknown', body: '' },
  origins: [...(p.origins ?? [])],
  stock: '',
  ...plainText(p, typedNumber),
});

const wordsOf = (text: string): string[] =>
  text
    .split(/[,;\n]/)
    .map((w) => w.trim())
    .filter(Boolean);

/** "32 oz" of a liquid is a volume to whoever sells it, a weight to whoever does not say so: asked. */
const bareOunces = (text: string): boolean =>
  /\d\s*(?:oz|ozs|ounces?)\.?\s*(?:$|\/|per\b|bottle|jug|can\b)/i.test(text);
const ouncesOfLiquid = (text: string): string =>
  `Read "${text.trim()}" of a liquid: say US fl oz, imp fl oz, or oz by weight.`;

function readOffer(read: Reader, offer: OfferText, i: number, liquid: boolean): OfferInput | undefined {
  const path = `offers.${i}`;
  const size = read.quantity(`${path}.size`, offer.size, ['mass', 'volume']);
  const price = whenTyped(offer.price, () => read.number(`${path}.price`, offer.price));
  if (!size) return undefined;
  if (liquid && bareOunces(offer.size)) return read.refuse(`${path}.size`, ouncesOfLiquid(offer.size));
  return {
    size: size.value,
    unit: size.unit.symbol,
    ...given(
      'price',
      price === undefined ? undefined : { amount: decimalText(price), currency: offer.currency.trim().toUpperCase() },
    ),
    ...given(
      'seenOn',
      whenTyped(offer.seenOn, () => read.day(`${path}.seenOn`, offer.seenOn)),
    ),
    ...given('seller', offer.seller.trim() || undefined),
  };
}

/** A typed price as an exact decimal: at least the two places money has, at most the four that are kept. */
const decimalText = (price: number): string => plainAmount(price.toFixed(4));

/** Reads one typed rate. @param path where its fields stand @param liquid whether a bare ounce could be of volume */
export function readDirection(
  read: Reader,
  { amount: typed, use, perYear: often }: DirectionText,
  path: string,
  liquid: boolean,
): DirectionInput | undefined {
  const rate = parseRate(typed);
  const perYear = whenTyped(often, () => read.number(`${path}.perYear`, often));
  if (!rate.ok) return read.refuse(`${path}.amount`, rate.reason);
  if (liquid && bareOunces(typed)) return read.refuse(`${path}.amount`, ouncesOfLiquid(typed));
  if (rate.nutrient !== undefined)
    return read.refuse(
      `${path}.amount`,
      `Read "${typed.trim()}", which is so much ${rate.nutrient} and not so much of the product: divide it by the product’s share of ${rate.nutrient}.`,
    );
  return { use: use.trim(), ...rate.rate, ...given('perYear', perYear) };
}

/** An amount with its unit. */
export interface AmountTyped {
  readonly amount: number;
  readonly unit: string;
}
export type ReadProduct = ReadText & { readonly plain: ProductInput; readonly stock?: AmountTyped };

/** Reads typed text into a product; lines left blank are left out, everything else must read. */
export function readProduct(text: ProductText): ReadProduct {
  const read = new Reader();
  const density = whenTyped(text.densityKgPerL, () =>
    read.canonical('densityKgPerL', text.densityKgPerL, 'density', 'kg/L'),
  );
  const analysisRows = rowsWith(text.analysis, (line) => line.value.trim() !== '');
  const offerRows = rowsWith(text.offers, (offer) => offer.size.trim() !== '' || offer.price.trim() !== '');
  const analysis = analysisRows.flatMap(([line, i]): AnalysisFigureInput[] => {
    const value = read.declared(`analysis.${i}.value`, line.value);
    return value
      ? [
          {
            analyte: line.analyte as Analyte,
            unit: line.unit as AnalysisUnit,
            provenance: line.provenance as Provenance,
            source: line.source,
            value,
            ...readBasisWord(line.basis),
          },
        ]
      : [];
  });
  const offers = offerRows.flatMap(([offer, i]) => readOffer(read, offer, i, text.form === 'liquid') ?? []);
  const directionRows = rowsWith(
    text.directions,
    (d) => d.amount.trim() !== '' || d.use.trim() !== '' || d.perYear.trim() !== '',
  );
  const directions = directionRows.flatMap(
    ([direction, i]) => readDirection(read, direction, `directions.${i}`, text.form === 'liquid') ?? [],
  );
  const days = whenTyped(text.longevity.days, () => read.number('longevity.days', text.longevity.days));
  const referenceC = days === undefined ? undefined : read.number('longevity.referenceC', text.longevity.referenceC);
  const stock = whenTyped(text.stock, () => read.quantity('stock', text.stock, ['mass', 'volume'], 'kg'));
  const plain: ProductInput = {
    name: text.name.trim(),
    seller: text.seller.trim(),
    form: text.form as ProductForm,
    ...given('densityKgPerL', density),
    ...given('grade', text.grade.trim() || undefined),
    analysis,
    derivedFrom: wordsOf(text.derivedFrom),
    offers,
    ...given('directions', directions.length > 0 ? directions : undefined),
    ...given('longevity', days !== undefined && referenceC !== undefined ? { days, referenceC } : undefined),
    ...given('incubation', text.incubation),
    ...given('ownFigures', text.ownFigures),
    note: text.note.trim(),
    ...given('labelText', text.labelText.trim() === '' ? undefined : text.labelText),
    ...given(
      'organic',
      text.organic.status === 'unknown' && text.organic.body.trim() === ''
        ? undefined
        : { status: text.organic.status as OrganicStatus, body: text.organic.body.trim() },
    ),
    ...given('origins', text.origins.length > 0 ? (text.origins as Origin[]) : undefined),
    ...readPlain(read, text),
  };
  return {
    plain,
    ...given('stock', stock && { amount: stock.value, unit: stock.unit.symbol }),
    problems: read.problems,
    rows: {
      analysis: analysisRows.map(([, i]) => i),
      offers: offerRows.map(([, i]) => i),
      directions: directionRows.map(([, i]) => i),
    },
  };
}
