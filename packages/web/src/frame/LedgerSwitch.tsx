import { Link, useLocation } from 'react-router';
import { HOME_LEDGER } from '@wheat-ledger/contract';
import { useLedgersQuery } from '../app/api';
import { LEDGER, pagesOf } from '../app/ledger';

const ALL = '';

/** Which ledger is open, and the way to another; nothing where there is only one. */
export function LedgerSwitch() {
  const { data: ledgers = [] } = useLedgersQuery();
  const known = ledgers.some((l) => l.slug === LEDGER);
  if (ledgers.length > 0 && !known)
    return (
      <a href={`${pagesOf(HOME_LEDGER)}/shelf`} className="plain" role="alert">
        There is no ledger “{LEDGER}” here. To the first one
      </a>
    );
  if (ledgers.length < 2) return null;
  const go = (slug: string): void => {
    const to = slug === ALL ? `${pagesOf(LEDGER)}/ledgers` : `${pagesOf(slug)}/shelf`;
    globalThis.location.assign(to);
  };
  return (
    <select
      aria-label="Ledger"
      className="field min-w-0 !w-auto max-w-40 flex-none"
      value={LEDGER}
      onChange={(e) => go(e.target.value)}
    >
      {ledgers.map((l) => (
        <option key={l.slug} value={l.slug}>
          {l.name}
        </option>
      ))}
      <option value={ALL}>All ledgers …</option>
    </select>
  );
}

/** The way to the page of all ledgers. */
export const LedgersLink = () => {
  const { pathname } = useLocation();
  return pathname === '/ledgers' ? null : (
    <Link to="/ledgers" className="plain">
      All ledgers, or a new one
    </Link>
  );
};
