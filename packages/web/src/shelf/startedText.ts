import { capital, typicalProduct, type LabelReading, type LibraryEntry } from '@wheat-ledger/core';
import {
  blankDirection,
  blankOffer,
  blankProduct,
  directionText,
  lineText,
  type ProductText,
} from '@wheat-ledger/contract';

/** A label that was read, as the start of a bag. Its own words are kept with it. */
export const textFromLabel = (reading: LabelReading, labelText: string): ProductText => ({
  ...blankProduct(),
  grade: reading.grade ?? '',
  form: reading.packages.some((p) => /L|gal/.test(p.unit)) ? 'liquid' : 'granule',
  densityKgPerL: reading.densityKgPerL === undefined ? '' : String(reading.densityKgPerL),
  limingPer100Kg: reading.limingPer100Kg === undefined ? '' : String(reading.limingPer100Kg),
  carbonToNitrogen: reading.carbonToNitrogen === undefined ? '' : String(reading.carbonToNitrogen),
  analysis: reading.analysis.map(lineText),
  derivedFrom: reading.derivedFrom.join(', '),
  offers:
    reading.packages.length > 0
      ? reading.packages.map((p) => ({ ...blankOffer(), size: `${p.size} ${p.unit}` }))
      : [blankOffer()],
  directions: reading.directions.length > 0 ? reading.directions.map(directionText) : [blankDirection()],
  labelText,
});

/** A generic material as the start of "my bag of this": typical ranges until the bag's own label replaces them. */
export function textFromLibrary(entry: LibraryEntry): ProductText {
  const product = typicalProduct(entry);
  return {
    ...blankProduct(),
    name: capital(entry.name),
    form: product.form,
    densityKgPerL: String(entry.densityKgPerL.mid),
    analysis: product.analysis.map(lineText),
    derivedFrom: entry.name,
    saltIndex: entry.saltIndex ? String(entry.saltIndex.value) : '',
    limingPer100Kg: entry.limingPer100Kg ? String(entry.limingPer100Kg.mid) : '',
    note: `Typical figures (${entry.source === 'chemistry' ? 'its chemistry at usual purity' : 'textbook ranges'}) until its own label is entered.`,
  };
}
