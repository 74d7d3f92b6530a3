import type { AnalysisFigureInput, OfferInput, ProductInput } from '@wheat-ledger/contract';
import { printDeclared, type AnalysisUnit, type Analyte, type Basis, type DeclaredValue, type ProductForm, type Provenance } from '@wheat-ledger/core';
import { given, Reader, rowsWith, whenTyped } from '../ui/reader';
import type { ReadText } from '../ui/textForm';

export interface LineText {
  analyte: string;
  value: string;
  unit: string;
  basis: string;
  provenance: string;
  source: string;
}
export interface OfferText {
  size: string;
  price: string;
  currency: string;
  seenOn: string;
}
/** A product as a person types it. */
export interface ProductText {
  name: string;
  seller: string;
  form: string;
  densityKgPerL: string;
  grade: string;
  analysis: LineText[];
  derivedFrom: string;
  offers: OfferText[];
  labelRate: { amount: string; perYear: string };
  longevity: { days: string; referenceC: string };
  note: string;
}

export const blankLine = (analyte = 'N', basis = 'element'): LineText => ({ analyte, value: '', unit: '%', basis, provenance: 'label', source: 'bag label' });
export const blankOffer = (currency = 'EUR'): OfferText => ({ size: '', price: '', currency, seenOn: '' });
export const blankProduct = (): ProductText => ({
  name: '', seller: '', form: 'granule', densityKgPerL: '', grade: '',
  analysis: [blankLine('N'), blankLine('P', 'P2O5'), blankLine('K', 'K2O')],
  derivedFrom: '', offers: [blankOffer()],
  labelRate: { amount: '', perYear: '1' }, longevity: { days: '', referenceC: '21' }, note: '',
});

const lineText = ({ value, ...line }: AnalysisFigureInput): LineText => ({ ...line, value: printDeclared(value as DeclaredValue) });
const offerText = ({ size, unit, price, seenOn }: OfferInput): OfferText => ({ size: `${size} ${unit}`, price: price?.amount ?? '', currency: price?.currency ?? 'EUR', seenOn: seenOn ?? '' });

/** A kept product as the text that would make it. */
export const productText = (p: ProductInput): ProductText => ({
  name: p.name, seller: p.seller, form: p.form,
  densityKgPerL: p.densityKgPerL === undefined ? '' : String(p.densityKgPerL),
  grade: p.grade ?? '',
  analysis: p.analysis.map(lineText),
  derivedFrom: p.derivedFrom.join(', '),
  offers: p.offers.map(offerText),
  labelRate: p.labelRate ? { amount: `${p.labelRate.amount} ${p.labelRate.unit}`, perYear: String(p.labelRate.perYear) } : { amount: '', perYear: '1' },
  longevity: p.longevity ? { days: String(p.longevity.days), referenceC: String(p.longevity.referenceC) } : { days: '', referenceC: '21' },
  note: p.note,
});

const wordsOf = (text: string): string[] => text.split(/[,;\n]/).map((w) => w.trim()).filter(Boolean);

function readOffer(read: Reader, offer: OfferText, i: number): OfferInput | undefined {
  const path = `offers.${i}`;
  const size = read.quantity(`${path}.size`, offer.size, ['mass', 'volume']);
  const price = whenTyped(offer.price, () => read.number(`${path}.price`, offer.price));
  if (!size) return undefined;
  return {
    size: size.value, unit: size.unit.symbol,
    ...given('price', price === undefined ? undefined : { amount: decimalText(price), currency: offer.currency.trim().toUpperCase() }),
    ...given('seenOn', offer.seenOn || undefined),
  };
}

/** A typed price as an exact decimal: at least the two places money has, at most the four that are kept. */
const decimalText = (price: number): string => price.toFixed(4).replace(/(\.\d\d)(\d*?)0*$/, '$1$2');


/** Reads typed text into a product; lines left blank are left out, everything else must read. */
export function readProduct(text: ProductText): ReadText & { readonly plain: ProductInput } {
  const read = new Reader();
  const density = whenTyped(text.densityKgPerL, () => read.canonical('densityKgPerL', text.densityKgPerL, 'density', 'kg/L'));
  const analysisRows = rowsWith(text.analysis, (line) => line.value.trim() !== '');
  const offerRows = rowsWith(text.offers, (offer) => offer.size.trim() !== '' || offer.price.trim() !== '');
  const analysis = analysisRows.flatMap(([line, i]): AnalysisFigureInput[] => {
    const value = read.declared(`analysis.${i}.value`, line.value);
    return value ? [{ analyte: line.analyte as Analyte, basis: line.basis as Basis, unit: line.unit as AnalysisUnit, provenance: line.provenance as Provenance, source: line.source, value }] : [];
  });
  const offers = offerRows.flatMap(([offer, i]) => readOffer(read, offer, i) ?? []);
  const rate = whenTyped(text.labelRate.amount, () => read.quantity('labelRate.amount', text.labelRate.amount, ['arealRate', 'arealVolume'], 'g/m²'));
  const perYear = rate && read.number('labelRate.perYear', text.labelRate.perYear);
  const days = whenTyped(text.longevity.days, () => read.number('longevity.days', text.longevity.days));
  const referenceC = days === undefined ? undefined : read.number('longevity.referenceC', text.longevity.referenceC);
  const plain: ProductInput = {
    name: text.name.trim(), seller: text.seller.trim(), form: text.form as ProductForm,
    ...given('densityKgPerL', density),
    ...given('grade', text.grade.trim() || undefined),
    analysis,
    derivedFrom: wordsOf(text.derivedFrom),
    offers,
    ...given('labelRate', rate && perYear !== undefined ? { amount: rate.value, unit: rate.unit.symbol, perYear } : undefined),
    ...given('longevity', days !== undefined && referenceC !== undefined ? { days, referenceC } : undefined),
    note: text.note.trim(),
  };
  return { plain, problems: read.problems, rows: { analysis: analysisRows.map(([, i]) => i), offers: offerRows.map(([, i]) => i) } };
}
