import Papa from 'papaparse';
import { RecipeInput, validateInput } from '@wheat-ledger/contract';
import { findUnit, parseNumber } from '@wheat-ledger/core';

export const RECIPE_FORMAT = 'wheat-ledger.recipe';
/** A recipe as a file: its bags by their names, since ids mean nothing elsewhere. */
interface RecipeFile {
  readonly format: typeof RECIPE_FORMAT;
  readonly version: 1;
  readonly recipe: Omit<RecipeInput, 'parts' | 'rules'>;
  readonly parts: readonly { readonly material: string; readonly parts: number; readonly unit?: string }[];
  readonly rules: readonly object[];
}
type NameOf = (productId: string) => string;
interface Named {
  readonly id: string;
  readonly name: string;
}

/** A recipe as JSON. */
export function recipeJson({ parts, rules = [], ...recipe }: RecipeInput, nameOf: NameOf): string {
  const file: RecipeFile = {
    format: RECIPE_FORMAT,
    version: 1,
    recipe,
    parts: parts.map(({ productId, ...part }) => ({ material: nameOf(productId), ...part })),
    rules: rules.map(({ productId, ...rule }) => ({ ...rule, ...(productId ? { material: nameOf(productId) } : {}) })),
  };
  return JSON.stringify(file, undefined, 2);
}
/** The parts of a recipe as a table; a part that is no amount has the unit `part`. */
export const recipeCsv = ({ parts }: Pick<RecipeInput, 'parts'>, nameOf: NameOf): string =>
  Papa.unparse([
    ['material', 'amount', 'unit'],
    ...parts.map(({ productId, parts: amount, unit }) => [nameOf(productId), String(amount), unit ?? 'part']),
  ]);

/** A recipe out of a file, with the names of materials that no bag here has; or why it is none. */
export type ReadRecipe =
  | { readonly ok: true; readonly input: RecipeInput; readonly missing: readonly string[] }
  | { readonly ok: false; readonly reason: string };
const MOST_BYTES = 200_000;
const refuse = (reason: string): ReadRecipe => ({ ok: false, reason });
const plain = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ');

interface RawPart {
  readonly material: string;
  readonly parts: number;
  readonly unit: string | undefined;
}
/** The input of a recipe whose materials are known here. */
function withBags(given: object, raw: readonly RawPart[], bags: readonly Named[]): ReadRecipe {
  const byName = new Map(bags.map((b) => [plain(b.name), b.id]));
  const missing = raw.flatMap(({ material }) => (byName.has(plain(material)) ? [] : [material]));
  const parts = raw.flatMap(({ material, parts, unit }) => {
    const productId = byName.get(plain(material));
    return productId ? [{ productId, parts, ...(unit === undefined ? {} : { unit }) }] : [];
  });
  const read = validateInput(RecipeInput, { ...given, parts });
  // Sent as plain fields, without what the check made of them.
  if (read.ok) return { ok: true, input: JSON.parse(JSON.stringify(read.value)) as RecipeInput, missing };
  const [problem] = read.problems;
  return refuse(`Read ${problem?.path ?? 'the recipe'}: ${problem?.message ?? 'it does not fit'}`);
}

function readJson(text: string, bags: readonly Named[]): ReadRecipe {
  let file: Partial<RecipeFile>;
  try {
    file = JSON.parse(text) as Partial<RecipeFile>;
  } catch {
    return refuse('Read a file that begins like JSON and does not end so, expected a recipe that is whole.');
  }
  if (file.format !== RECIPE_FORMAT || !Array.isArray(file.parts) || typeof file.recipe !== 'object')
    return refuse(`Read a JSON file of another kind, expected one with the format “${RECIPE_FORMAT}”.`);
  const listed: readonly Partial<RecipeFile['parts'][number]>[] = file.parts;
  const parts = listed.map(({ material, parts: amount, unit }): RawPart => ({
    material: String(material),
    parts: Number(amount),
    unit,
  }));
  const rules = (file.rules ?? []).flatMap((rule): readonly object[] => {
    const { material, ...rest } = rule as { material?: string };
    const productId = material === undefined ? undefined : bags.find((b) => plain(b.name) === plain(material))?.id;
    return material !== undefined && productId === undefined ? [] : [{ ...rest, ...(productId ? { productId } : {}) }];
  });
  return withBags({ ...file.recipe, ...(rules.length > 0 ? { rules } : {}) }, parts, bags);
}

const COLUMNS = {
  material: /^(material|ingredient|bag|name)$/i,
  amount: /^(amount|parts?|quantity)$/i,
  unit: /^units?$/i,
};
function readCsv(name: string, text: string, bags: readonly Named[]): ReadRecipe {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const [head = [], ...rows] = data;
  const at = (pattern: RegExp): number => head.findIndex((cell) => pattern.test(cell.trim()));
  const [material, amount, unit] = [at(COLUMNS.material), at(COLUMNS.amount), at(COLUMNS.unit)];
  if (material < 0 || amount < 0)
    return refuse(`Read the headings ${head.slice(0, 6).join(', ')}, expected material, amount and unit.`);
  const parts: RawPart[] = [];
  for (const [i, row] of rows.entries()) {
    const number = parseNumber(row[amount] ?? '');
    const word = (row[unit] ?? '').trim();
    const measured = /^(parts?)?$/i.test(word) ? undefined : findUnit(word)?.symbol;
    if (!number.ok) return refuse(`Row ${i + 2}: ${number.reason}`);
    if (measured === undefined && !/^(parts?)?$/i.test(word))
      return refuse(`Row ${i + 2}: Read “${word}”, expected part, or a unit such as kg or US cup.`);
    parts.push({ material: row[material] ?? '', parts: number.value, unit: measured });
  }
  const called = name.replace(/\.[a-z0-9]+$/i, '').slice(0, 120) || 'A recipe';
  const given = { name: called, target: '', strength: 'grade', tolerance: 0.1, by: 'weight', batchKg: 10 };
  return withBags(given, parts, bags);
}

/**
 * Reads a recipe file: JSON as it is saved here, or a table with the headings material, amount and unit.
 * @param bags what there is on the shelf, by which materials are known
 */
export function readRecipeFile(name: string, text: string, bags: readonly Named[]): ReadRecipe {
  if (text.length > MOST_BYTES) return refuse(`Read a file of ${Math.ceil(text.length / 1000)} kB, expected a recipe.`);
  if (text.trim() === '') return refuse('Read an empty file, expected a recipe.');
  return /^\s*[{[]/.test(text) ? readJson(text, bags) : readCsv(name, text, bags);
}
