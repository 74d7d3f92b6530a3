import { useMemo } from 'react';
import { useRecords } from '../app/api';
import { capital, assumption, LIBRARY, literal, NO_UNIT, ofWhat, scaleRange, type Lime } from '@wheat-ledger/core';

/** Below this neutralising value nobody would lime with it. */
const LEAST_LIMING = 30;

/** What a soil can be limed with: the bags on the shelf whose liming effect is known, then what is typical of common limes. */
export function useLimes(): readonly Lime[] {
  const { records } = useRecords('product');
  return useMemo(
    () => [
      ...records.flatMap((r): Lime[] =>
        (r.limingPer100Kg ?? 0) >= LEAST_LIMING
          ? [
              {
                name: r.name,
                neutralisingValue: literal(
                  'neutralising value',
                  (r.limingPer100Kg ?? 0) / 100,
                  ofWhat(NO_UNIT, 'of pure CaCO₃'),
                  'label',
                  'product record',
                ),
              },
            ]
          : [],
      ),
      ...LIBRARY.flatMap((entry): Lime[] =>
        entry.limingPer100Kg && entry.limingPer100Kg.mid >= LEAST_LIMING
          ? [
              {
                name: capital(entry.name),
                neutralisingValue: assumption(
                  `neutralising value of ${entry.name}`,
                  scaleRange(entry.limingPer100Kg, 0.01),
                  ofWhat(NO_UNIT, 'of pure CaCO₃'),
                  'typical; a bag’s own liming effect replaces it',
                ),
              },
            ]
          : [],
      ),
    ],
    [records],
  );
}
