import { findMaterial } from '../materials.js';
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
