import type { DeclaredValueInput } from '../product.js';
import type { FieldProblem } from '../validate.js';
import {
  declaredRange,
  parseDay,
  parseDeclared,
  parseNumber,
  parseQuantity,
  readTemperature,
  type Dimension,
  type ParsedQuantity,
  type Range,
} from '@wheat-ledger/core';

/** What the typed text was read as: a plain input for the contract class, and what could not be read. */
export interface ReadText {
  readonly plain: object;
  readonly problems: readonly FieldProblem[];
  /** For lists whose blank rows are left out: which typed row each entry came from. */
  readonly rows?: Readonly<Record<string, readonly number[]>>;
}

/** A path into the plain input as the path of the row that was typed: with row 1 blank, `offers.1.size` was typed in row 2. */
export function typedPath(path: string, rows: ReadText['rows']): string {
  const [list = '', index = '', ...rest] = path.split('.');
  const row = rows?.[list]?.[Number(index)];
  return row === undefined ? path : [list, row, ...rest].join('.');
}

/** Reads typed text field by field and collects, with its path, what could not be read. */
export class Reader {
  readonly problems: FieldProblem[] = [];

  refuse(path: string, message: string): undefined {
    this.problems.push({ path, message });
    return undefined;
  }

  number(path: string, text: string): number | undefined {
    const read = parseNumber(text);
    return read.ok ? read.value : this.refuse(path, read.reason);
  }

  /** A quantity of one of several kinds, the first being what is asked for when none fits. */
  quantity(
    path: string,
    text: string,
    dimensions: readonly Dimension[],
    assumed?: string,
  ): Extract<ParsedQuantity, { ok: true }> | undefined {
    const reads = dimensions.map((d) => parseQuantity(text, d, assumed));
    const read = reads.find((r) => r.ok) ?? reads[0];
    return read?.ok ? read : this.refuse(path, read ? read.reason : '');
  }

  /** A quantity in canonical units. */
  canonical(path: string, text: string, dimension: Dimension, assumed: string): number | undefined {
    const read = this.quantity(path, text, [dimension], assumed);
    return read && read.value * read.unit.factor;
  }

  /** A temperature in °C. */
  temperature(path: string, text: string): number | undefined {
    const read = readTemperature(text);
    return read.ok ? read.value : this.refuse(path, read.reason);
  }

  /** A day as an ISO date. */
  day(path: string, text: string): string | undefined {
    const read = parseDay(text);
    return read.ok ? read.value : this.refuse(path, read.reason);
  }

  /** A number or a range such as 2–3–5; nothing where nothing was typed. @param of a unit that may stand behind it */
  range(path: string, text: string, of = ''): Range | undefined {
    return whenTyped(text, () => {
      const bare = of !== '' && text.trim().endsWith(of) ? text.trim().slice(0, -of.length).trim() : text;
      const found = parseDeclared(bare);
      if (!found.ok) return this.refuse(path, found.reason);
      if (found.value.kind === 'below')
        return this.refuse(path, `Read "${text.trim()}", expected a number or a range such as 80–110–150.`);
      return declaredRange(found.value);
    });
  }

  declared(path: string, text: string): DeclaredValueInput | undefined {
    const read = parseDeclared(text);
    return read.ok ? read.value : this.refuse(path, read.reason);
  }
}

/** Reads a field only when something was typed in it. */
export const whenTyped = <T>(text: string, read: () => T): T | undefined => (text.trim() === '' ? undefined : read());

/** A field of an object, or nothing at all when there is no value. */
export const given = <K extends string, V>(key: K, value: V | undefined): Partial<Record<K, V>> =>
  value === undefined ? {} : ({ [key]: value } as Record<K, V>);

/** The rows something was typed in, each with its place. */
export const rowsWith = <T>(rows: readonly T[], typed: (row: T) => boolean): (readonly [T, number])[] =>
  rows.map((row, i) => [row, i] as const).filter(([row]) => typed(row));
