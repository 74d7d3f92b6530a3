import {
  fromAmount,
  given,
  Reader,
  toApplication,
  whenTyped,
  type ApplicationInput,
  type ProgrammeInput,
  type ReadText,
  type WhereInput,
} from '@wheat-ledger/contract';
import {
  formatGiven,
  parseAmount,
  parseQuantity,
  parseWhen,
  printAmount,
  printWhen,
  WHERE_WORDS,
  type Where,
} from '@wheat-ledger/core';
import { readShare, shareWords } from './seasonText';

/** One row of a programme as a person types it. `what` is "product id", "recipe id" or "water". */
export interface DoingText {
  what: string;
  amount: string;
  when: string;
  where: string;
  /** A depth for what is worked in, two edges for a ring. */
  depth: string;
  share: string;
  plants: string;
  note: string;
}
export interface ProgrammeText {
  name: string;
  note: string;
  applications: DoingText[];
}

export const blankDoing = (what = ''): DoingText => ({
  what,
  amount: '',
  when: 'at planting',
  where: 'surface',
  depth: '',
  share: 'all',
  plants: '',
  note: '',
});

/** Where something goes, as it is chosen. */
export const WHERES: readonly { readonly value: string; readonly text: string }[] = Object.entries(WHERE_WORDS).map(
  ([value, text]) => ({ value, text }),
);
/** What is asked further of some places. */
export const DEPTH_LABELS: Readonly<Record<string, string>> = {
  workedIn: 'How deep',
  ring: 'From and to, from the stem',
};

const cm = (metres: number | undefined): string => `${formatGiven(Number((100 * (metres ?? 0)).toPrecision(6)))} cm`;
const depthText = ({ kind, depthM, innerM, outerM }: WhereInput): string =>
  kind === 'workedIn' ? cm(depthM) : kind === 'ring' ? `${cm(innerM)} to ${cm(outerM)}` : '';

export const whatOf = ({ what, productId, recipeId }: ApplicationInput): string =>
  what === 'water' ? 'water' : `${what} ${productId ?? recipeId ?? ''}`;

export function programmeText({ name, note, applications }: ProgrammeInput): ProgrammeText {
  return {
    name,
    note,
    applications: applications.map((a): DoingText => {
      const { amount, when } = toApplication(a);
      return {
        what: whatOf(a),
        amount: printAmount(amount),
        when: printWhen(when),
        where: a.where.kind,
        depth: depthText(a.where),
        share: shareWords(a.part.share),
        plants: a.part.plants === undefined ? '' : formatGiven(a.part.plants),
        note: a.note,
      };
    }),
  };
}

const length = (read: Reader, path: string, text: string): number | undefined =>
  read.canonical(path, text, 'length', 'cm');

function readWhere(read: Reader, path: string, { where, depth }: DoingText): WhereInput {
  const kind = where as Where['kind'];
  if (kind === 'workedIn') return { kind, depthM: (depth.trim() === '' ? 0.15 : length(read, path, depth)) ?? 0.15 };
  if (kind !== 'ring') return { kind };
  const [inner = '', outer = ''] = depth.split(/\s*(?:to|–|-)\s*/);
  if (outer === '') {
    read.refuse(
      path,
      `Read “${depth.trim()}”, expected where the ring begins and ends from the stem, such as 20 cm to 60 cm.`,
    );
    return { kind, innerM: 0, outerM: 1 };
  }
  // "20 to 60 cm" is in one unit.
  const first = parseQuantity(inner, 'length').ok ? inner : `${inner} ${/[a-z"']+$/i.exec(outer)?.[0] ?? 'cm'}`;
  return { kind, innerM: length(read, path, first) ?? 0, outerM: length(read, path, outer) ?? 1 };
}

function readDoing(read: Reader, row: DoingText, at: string, areaM2: number): ApplicationInput | undefined {
  const [what, id] = row.what.split(' ');
  if (what !== 'product' && what !== 'recipe' && what !== 'water')
    return read.refuse(`${at}.what`, 'Expected what is given: a bag, a recipe or water.');
  const amount = parseAmount(row.amount);
  const when = parseWhen(row.when);
  if (!amount.ok) read.refuse(`${at}.amount`, amount.reason);
  if (!when.ok) read.refuse(`${at}.when`, when.reason);
  const where = readWhere(read, `${at}.depth`, row);
  const share = readShare(read, `${at}.share`, row.share, areaM2) ?? 1;
  const plants = whenTyped(row.plants, () => read.number(`${at}.plants`, row.plants));
  if (!amount.ok || !when.ok) return undefined;
  return {
    what,
    ...(what === 'product' ? given('productId', id) : what === 'recipe' ? given('recipeId', id) : {}),
    amount: fromAmount(amount.amount),
    when: { ...when.when },
    where,
    part: { share, ...given('plants', plants) },
    note: row.note.trim(),
  };
}

export function readProgramme(
  text: ProgrammeText,
  season: { readonly id: string; readonly areaM2: number },
): ReadText & { readonly plain: ProgrammeInput; readonly rows: { readonly applications: readonly number[] } } {
  const read = new Reader();
  const all = text.applications.map((row, i) => readDoing(read, row, `applications.${i}`, season.areaM2));
  const found = all.flatMap((application, i) => (application ? [{ application, i }] : []));
  const plain: ProgrammeInput = {
    name: text.name.trim(),
    seasonId: season.id,
    applications: found.map((f) => f.application),
    note: text.note.trim(),
  };
  return { plain, problems: read.problems, rows: { applications: found.map((f) => f.i) } };
}
