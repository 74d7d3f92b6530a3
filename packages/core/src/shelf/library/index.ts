import { capital } from '../../quantity/index.js';
import { findMaterial, readIngredients } from '../materials.js';
import type { AnalysisFigure, Product } from '../product.js';
import type { LibraryEntry } from './entry.js';
import { LIBRARY } from './entries.js';

export { materialHolds, typicalNitrogen, type Holding } from './contents.js';
export { LIBRARY, libraryEntry } from './entries.js';
export type { LibraryEntry, SaltIndex, TypicalFigure } from './entry.js';

/** A second published salt index that disagrees with the one in use, for the same scale (sodium nitrate = 100). */
export const OTHER_SALT_INDEX: Readonly<Record<string, { readonly value: number; readonly table: 'Mortvedt 2001' }>> = {
  'ammonium sulfate': { value: 88.3, table: 'Mortvedt 2001' },
};

/** Entries whose name, other names or elements answer a search; all of them for an empty one. @example searchLibrary('potash') */
export function searchLibrary(query: string): readonly LibraryEntry[] {
  const wanted = query.trim().toLowerCase();
  if (wanted === '') return LIBRARY;
  const names = (e: LibraryEntry): string =>
    [e.name, e.group, ...(findMaterial(e.name)?.aliases ?? [])].join(' ').toLowerCase();
  const rich = LIBRARY.filter((e) => e.analysis.some((f) => f.analyte.toLowerCase() === wanted && f.percent.mid >= 1));
  return [...new Set([...LIBRARY.filter((e) => names(e).includes(wanted)), ...rich])];
}

/** A library entry as a product that can be priced, mixed and followed: every figure typical and a range. */
export const typicalProduct = (entry: LibraryEntry): Product => ({
  id: `library:${entry.name}`,
  name: entry.name,
  form: entry.form,
  densityKgPerL: entry.densityKgPerL,
  grade: undefined,
  analysis: entry.analysis.map(({ analyte, basis, percent, extract }): AnalysisFigure => ({
    analyte,
    ...(extract ? { extract } : {}),
    basis,
    unit: '%',
    provenance: 'typical',
    source: entry.source === 'chemistry' ? 'its chemistry, at usual purity' : 'textbook range',
    value: { kind: 'range', ...percent },
  })),
  derivedFrom: [entry.name],
  offers: [],
  directions: [],
  longevity: undefined,
  carbonToNitrogen: undefined,
});

/**
 * What is typical of the dry materials of the library that are not on a shelf, the kitchen's left out: a bag that is made of one material alone stands
 * for that material.
 * @returns products whose names say that they are typical, without prices
 * @example typicalBeside([urea]).some((p) => p.name.startsWith('Urea')) // false
 */
export function typicalBeside(shelf: readonly Product[]): readonly Product[] {
  const there = new Set(
    shelf.flatMap(({ derivedFrom }) => {
      const { known, complete } = readIngredients(derivedFrom);
      return complete && known.length === 1 ? known.map((m) => m.name) : [];
    }),
  );
  const dry = LIBRARY.filter(({ group }) => group !== 'kitchen' && group !== 'liquid');
  return dry
    .filter((entry) => !there.has(entry.name))
    .map((entry) => {
      const product = typicalProduct(entry);
      return { ...product, name: `${capital(product.name)}, typical` };
    });
}
/** The entry of the library that a product tells what is typical of; undefined for a bag. */
export const typicalEntry = (productId: string): LibraryEntry | undefined =>
  LIBRARY.find((entry) => productId === typicalProduct(entry).id);
