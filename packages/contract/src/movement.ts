import { IsUUID } from 'class-validator';
import { STOCK_REASONS, type StockReason } from '@wheat-ledger/core';
import { Day, Maybe, NumberBetween, OneOf, Text } from './decorators.js';
import { PACKAGE_UNITS } from './product.js';

/** An amount of a bag that came (above zero) or went (below). */
export class MovementInput {
  @IsUUID('all', { message: 'Expected a product of this workspace.' })
  productId!: string;

  @NumberBetween(-1e6, 1e6, 'an amount')
  amount!: number;

  @OneOf(PACKAGE_UNITS, 'a unit of weight or volume')
  unit!: string;

  @OneOf(STOCK_REASONS, 'why')
  reason!: StockReason;

  @Day()
  on!: string;

  @Text(0, 60, 'a lot')
  lot!: string;

  @Text(0, 500, 'a note')
  note!: string;

  /** The log entry that caused it. */
  @Maybe()
  @IsUUID('all', { message: 'Expected an entry of this workspace.' })
  entryId?: string;
}
