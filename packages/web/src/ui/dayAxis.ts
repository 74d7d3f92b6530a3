import { printDay } from '@wheat-ledger/core';
import { EDGE } from './weekAxes';

/** A day in ms as it stands on an axis, without its year. */
export const dayTick = (ms: number): string => printDay(new Date(ms).toISOString().slice(0, 10)).replace(/ \d{4}$/, '');
/** The axis of points that have a `day` in ms. */
export const DAY_AXIS = {
  ...EDGE,
  dataKey: 'day',
  type: 'number',
  domain: ['dataMin', 'dataMax'] as [string, string],
  tickFormatter: dayTick,
} as const;
