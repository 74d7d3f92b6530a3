import type { ReactNode } from 'react';
import { CircleAlert, Info } from 'lucide-react';
import { problemOf } from '../app/api';

interface SheetProps {
  readonly title: string;
  readonly question: string;
  readonly children: ReactNode;
  readonly actions?: ReactNode;
}

/** A page of the ledger: what it is for at the top, ruled off from what stands on it. */
export const Sheet = ({ title, question, actions, children }: SheetProps) => (
  <div className="mx-auto max-w-4xl px-4 pb-8 pt-4 sm:px-6">
    <header className="mb-4 flex flex-wrap items-end gap-x-4 gap-y-2 border-b-4 border-double border-line-strong pb-2">
      <div className="mr-auto min-w-0">
        <h1 className="text-2xl">{title}</h1>
        <p className="text-faint print:hidden">{question}</p>
      </div>
      <div className="no-print flex flex-wrap gap-2">{actions}</div>
    </header>
    {children}
  </div>
);

export const Loading = ({ what }: { what: string }) => (
  <p role="status" className="px-6 py-10 text-faint">
    Fetching {what} …
  </p>
);

/** What to do when there is nothing to show yet. */
export const Empty = ({ children }: { children: ReactNode }) => (
  <div className="my-6 border-l-4 border-line-strong bg-paper px-4 py-3 text-[1.0625rem]">{children}</div>
);

export const Failed = ({ error, retry }: { error: unknown; retry?: () => void }) => (
  <div role="alert" className="my-6 border-l-4 border-beet bg-paper px-4 py-3">
    <p>{problemOf(error).detail}</p>
    {retry && (
      <button type="button" className="action mt-2" onClick={retry}>
        Try again
      </button>
    )}
  </div>
);

/** A remark that stands beside what it concerns. */
export const Remark = ({ tone, children }: { tone: 'caution' | 'note'; children: ReactNode }) => (
  <p
    className={`flex gap-2 border-l-[3px] py-1 pl-2.5 text-[0.9375rem] ${tone === 'caution' ? 'border-beet' : 'border-slate'}`}
  >
    {tone === 'caution' ? (
      <CircleAlert size={17} className="mt-0.5 shrink-0 text-beet" aria-label="Caution:" />
    ) : (
      <Info size={17} className="mt-0.5 shrink-0 text-slate" aria-label="Note:" />
    )}
    <span className="first-letter:uppercase">{children}</span>
  </p>
);
