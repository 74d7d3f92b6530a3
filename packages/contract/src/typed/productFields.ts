import type { ProductInput } from '../product.js';
import type { Reader } from './reader.js';

/** A field of a bag that is one word, number or day: how it is read, named and shown, everywhere. */
export interface PlainField {
  readonly key: keyof ProductInput;
  readonly kind: 'text' | 'number' | 'day';
  readonly label: string;
  /** Its column in a CSV file. */
  readonly heading: string;
  /** Where the form shows it. */
  readonly part: 'beyond' | 'living';
  readonly placeholder?: string;
  readonly hint?: string;
  /** It takes the room of two. */
  readonly wide?: true;
}

/**
 * The plain fields of a bag. Typed text, CSV columns, differences between versions, the form and what the database keeps follow from this
 * table: a new one is its rule in `product.ts` and its line here.
 */
export const PLAIN_FIELDS = [
  {
    key: 'storage',
    kind: 'text',
    label: 'Storage',
    heading: 'storage',
    part: 'beyond',
    placeholder: 'dry, frost free',
    wide: true,
  },
  {
    key: 'carbonToNitrogen',
    kind: 'number',
    label: 'C:N, measured',
    heading: 'C:N',
    part: 'beyond',
    placeholder: 'class average',
  },
  {
    key: 'saltIndex',
    kind: 'number',
    label: 'Salt index',
    heading: 'salt index',
    part: 'beyond',
    hint: 'sodium nitrate = 100',
  },
  {
    key: 'limingPer100Kg',
    kind: 'number',
    label: 'Liming effect',
    heading: 'liming kg CaCO3/100 kg',
    part: 'beyond',
    hint: 'kg CaCO₃ per 100 kg',
  },
  {
    key: 'scoopG',
    kind: 'number',
    label: 'A level scoop weighs, g',
    heading: 'scoop g',
    part: 'beyond',
    hint: 'level, not heaped; weighed once',
  },
  {
    key: 'scoopName',
    kind: 'text',
    label: 'Which scoop',
    heading: 'scoop',
    part: 'beyond',
    placeholder: 'blue tub',
  },
  {
    key: 'ease',
    kind: 'number',
    label: 'Ease of use',
    heading: 'ease',
    part: 'beyond',
    hint: '1 hard to 5 easy',
  },
  {
    key: 'hoursPer100Kg',
    kind: 'number',
    label: 'Hours for 100 kg',
    heading: 'hours per 100 kg',
    part: 'beyond',
    hint: 'to fetch, carry and spread',
  },
  {
    key: 'haulagePer100Kg',
    kind: 'number',
    label: 'Haulage of 100 kg',
    heading: 'haulage per 100 kg',
    part: 'beyond',
    hint: 'in the money of its prices',
  },
  {
    key: 'distanceKm',
    kind: 'number',
    label: 'Comes from, km away',
    heading: 'distance km',
    part: 'beyond',
  },
  {
    key: 'processing',
    kind: 'text',
    label: 'Processing',
    heading: 'processing',
    part: 'beyond',
    placeholder: 'ground, composted',
  },
  {
    key: 'handling',
    kind: 'text',
    label: 'Handling',
    heading: 'handling',
    part: 'beyond',
    placeholder: 'shake first, keep dry',
    wide: true,
  },
  {
    key: 'extraction',
    kind: 'text',
    label: 'Extract made by',
    heading: 'extraction',
    part: 'beyond',
    placeholder: 'cold, by enzymes, in hot alkali',
    wide: true,
  },
  {
    key: 'certificates',
    kind: 'text',
    label: 'Certificates, by lot',
    heading: 'certificates',
    part: 'beyond',
    wide: true,
  },
  { key: 'organism', kind: 'text', label: 'Organism', heading: 'organism', part: 'living', wide: true },
  {
    key: 'viableCount',
    kind: 'text',
    label: 'Viable count',
    heading: 'viable count',
    part: 'living',
    placeholder: '1e9 per g',
  },
  { key: 'expiresOn', kind: 'day', label: 'Expires on', heading: 'expires on', part: 'living' },
  {
    key: 'bioactiveContent',
    kind: 'text',
    label: 'Humic, amino or hormone content',
    heading: 'bioactive content',
    part: 'living',
    placeholder: '12 % humic acids',
    wide: true,
  },
  {
    key: 'bioactiveMethod',
    kind: 'text',
    label: 'measured by',
    heading: 'bioactive method',
    part: 'living',
    placeholder: 'method on the label',
    wide: true,
  },
] as const satisfies readonly PlainField[];

type Known = (typeof PLAIN_FIELDS)[number];
export type PlainKey = Known['key'];
export type PlainHeading = Known['heading'];
/** The plain fields as typed; empty where nothing is. */
export type PlainText = Record<PlainKey, string>;

const FIELDS: readonly (PlainField & { readonly key: PlainKey })[] = PLAIN_FIELDS;
const byKey = <V>(value: (field: (typeof FIELDS)[number]) => V): Record<PlainKey, V> =>
  Object.fromEntries(FIELDS.map((field) => [field.key, value(field)])) as Record<PlainKey, V>;

export const blankPlain = (): PlainText => byKey(() => '');

/** The plain fields of a kept bag as the text that would make them. */
export const plainText = (product: Pick<ProductInput, PlainKey>, typedNumber: (value: number) => string): PlainText =>
  byKey(({ key }) => {
    const value = product[key];
    return value === undefined ? '' : typeof value === 'number' ? typedNumber(value) : value;
  });

/** Typed plain fields as an input's; what was left blank is missing. */
export function readPlain(read: Reader, text: PlainText): Pick<ProductInput, PlainKey> {
  const typed = FIELDS.flatMap(({ key, kind }) => {
    const written = text[key].trim();
    if (written === '') return [];
    const value = kind === 'number' ? read.number(key, written) : kind === 'day' ? read.day(key, written) : written;
    return value === undefined ? [] : [[key, value] as const];
  });
  return Object.fromEntries(typed);
}

/** What of the plain fields differs between two bags, in words. */
export const plainChanges = (
  before: Pick<ProductInput, PlainKey>,
  after: Pick<ProductInput, PlainKey>,
): readonly { readonly what: string; readonly before: string; readonly after: string }[] =>
  FIELDS.flatMap(({ key, label }) => {
    const [a, b] = [String(before[key] ?? ''), String(after[key] ?? '')];
    return a === b ? [] : [{ what: label.toLowerCase(), before: a, after: b }];
  });
