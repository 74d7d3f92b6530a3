import { findMaterial, type Material } from '../materials.js';
import type { LibraryEntry } from './entry.js';
import { ORGANICS } from './organics.js';
import { SALTS } from './salts.js';

/** Generic materials with what is typical of them, sorted by name. */
export const LIBRARY: readonly LibraryEntry[] = [...SALTS, ...ORGANICS].sort((a, b) => a.name.localeCompare(b.name));

const byName = new Map(LIBRARY.map((entry) => [entry.name, entry]));
export const entryOf = (material: Material): LibraryEntry | undefined => byName.get(material.name);

/** The entry of a material by any of its names. */
export function libraryEntry(name: string): LibraryEntry | undefined {
  const material = findMaterial(name);
  return material && entryOf(material);
}
