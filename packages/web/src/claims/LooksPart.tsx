import type { ReactNode } from 'react';
import { effectWords, formatFixed, type Evidence, type Pooled, type Scale } from '@wheat-ledger/core';

const between = (pooled: Pooled, scale: Scale): string =>
  `${effectWords(pooled.interval.low, scale)} to ${effectWords(pooled.interval.high, scale)}`;

const Rows = ({ caption, children }: { caption: string; children: ReactNode }) => (
  <table className="ledger mt-2">
    <caption className="pb-1 text-left text-sm text-faint">{caption}</caption>
    <thead>
      <tr>
        <th scope="col">Studies</th>
        <th scope="col" className="num">
          together
        </th>
        <th scope="col" className="num">
          95 %
        </th>
      </tr>
    </thead>
    <tbody>{children}</tbody>
  </table>
);
const Row = ({ name, pooled, scale }: { name: string; pooled: Pooled | undefined; scale: Scale }) => (
  <tr>
    <th scope="row" className="font-normal">
      {name}
    </th>
    <td className="num">{pooled ? effectWords(pooled.effect, scale) : 'one study, not pooled'}</td>
    <td className="num">{pooled ? between(pooled, scale) : ''}</td>
  </tr>
);

/** The pool without each study, by group, and whether small studies find more. */
export function LooksPart({ evidence: { looks, scale, pooled } }: { evidence: Evidence }) {
  if (!pooled || looks.without.length === 0) return null;
  const { small } = looks;
  return (
    <details data-testid="looks">
      <summary className="w-fit cursor-pointer">Does it hang on one study, or on one kind of them?</summary>
      <Rows caption="Without each in turn">
        {looks.without.map((w) => (
          <Row key={w.name} name={`without ${w.name}`} pooled={w.pooled} scale={scale} />
        ))}
      </Rows>
      {looks.groups.map(({ by, groups }) => (
        <Rows key={by} caption={`By ${by}`}>
          {groups.map((g) => (
            <Row key={g.group} name={`${g.group} (${g.studies})`} pooled={g.pooled} scale={scale} />
          ))}
        </Rows>
      ))}
      {small && (
        <p className="mt-2 text-[0.9375rem]">
          Small studies{' '}
          {small.p < 0.1 ? 'find something else than large ones' : 'do not clearly differ from large ones'} (Egger’s
          intercept {formatFixed(small.intercept, 2)}, p {formatFixed(small.p, 2)}).{' '}
          {!small.enough && 'With fewer than ten studies this look can hardly tell. '}
          Small studies can differ for other reasons than that poor results were not printed.
        </p>
      )}
    </details>
  );
}
