import { IsIn, IsOptional, Matches } from 'class-validator';
import type { DecimalMark } from '@wheat-ledger/core';

/** How the numbers of a file are read where it does not say so itself. */
export class CsvReadingDto {
  /** The currency of prices that have none in their row. */
  @IsOptional()
  @Matches(/^[A-Z]{3}$/, { message: 'Expected a three-letter currency code such as EUR.' })
  currency?: string;

  /** The decimal mark of the file's numbers. */
  @IsOptional()
  @IsIn(['point', 'comma'], { message: 'Expected point or comma.' })
  decimal?: DecimalMark;
}
