import type { Rows } from './rows.js';
import type { Columns, Lines } from './shapes.js';

/** Writes the lines of new or changed records, each with its place. */
export async function insertLines(
  rows: Rows,
  tables: readonly Lines[],
  records: readonly ({ readonly id: string } & Columns)[],
): Promise<void> {
  for (const { property, entity, owner } of tables)
    await rows.insert(
      entity,
      records.flatMap(({ id, lines }) =>
        (lines?.[property] ?? []).map((line, position) => ({ [owner]: id, position, ...line })),
      ),
    );
}

/** Gives records their lines, each table of them in one query for all. */
export async function withLines<Row extends { readonly id: string }>(
  rows: Rows,
  tables: readonly Lines[],
  records: readonly Row[],
): Promise<readonly Row[]> {
  if (records.length === 0) return records;
  for (const { property, entity, owner } of tables) {
    const byOwner = new Map<unknown, object[]>(records.map((r) => [r.id, []]));
    const found = await rows.find<Readonly<Record<string, unknown>>>(
      entity,
      { [owner]: { $in: [...byOwner.keys()] } },
      { orderBy: [{ [owner]: 'asc' }, { position: 'asc' }] },
    );
    for (const line of found) byOwner.get(line[owner])?.push(line);
    for (const record of records) Object.assign(record, { [property]: byOwner.get(record.id) });
  }
  return records;
}
