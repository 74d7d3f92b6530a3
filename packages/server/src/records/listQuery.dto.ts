import { Transform } from 'class-transformer';
import { IsBoolean, IsInt, IsOptional, IsString, IsUUID, Max, MaxLength, Min } from 'class-validator';
import { Day, kindOf, parentsOf, type RecordKind } from '@wheat-ledger/contract';
import type { ListQuery } from './shapes.js';

const asNumber = ({ value }: { value: unknown }): unknown => (typeof value === 'string' ? Number(value) : value);
const asFlag = ({ value }: { value: unknown }): unknown =>
  value === 'true' ? true : value === 'false' ? false : value;

/** How much of a list, from where. */
export class ListQueryDto {
  @IsOptional()
  @IsString()
  @MaxLength(600)
  after?: string;

  @IsOptional()
  @Transform(asNumber)
  @IsInt({ message: 'Expected limit as a whole number.' })
  @Min(1)
  @Max(500)
  limit?: number;

  @IsOptional()
  @Transform(asFlag)
  @IsBoolean({ message: 'Expected removed as true or false.' })
  removed?: boolean;
}

/** The questions lists of one kind can be asked: by what they belong to, and by day where they have one. */
export function listQueryOf(kind: RecordKind): new () => ListQueryDto {
  class KindQuery extends ListQueryDto {}
  const may = (field: string, ...rules: readonly PropertyDecorator[]): void =>
    [IsOptional(), ...rules].forEach((rule) => rule(KindQuery.prototype, field));
  for (const { to } of parentsOf(kind)) may(to, IsUUID('all', { message: `Expected ${to} as an id.` }));
  if (kindOf(kind).day) ['from', 'to'].forEach((field) => may(field, Day()));
  return KindQuery;
}

/** What was asked, as the store is asked. */
export function askedOf(kind: RecordKind, query: ListQueryDto): ListQuery {
  const given = query as ListQueryDto & Readonly<Record<string, string | undefined>>;
  const of = Object.fromEntries(
    parentsOf(kind).flatMap(({ to }) => (given[to] === undefined ? [] : [[to, given[to]]])),
  );
  const { after, limit, removed, from, to } = given;
  return { after, limit, removed, of, from, to };
}
