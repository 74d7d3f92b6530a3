import { createContext, useContext, type ReactNode } from 'react';
import { createPortal } from 'react-dom';

/** The place in the margin where a sheet writes its notes. */
export const MarginSlot = createContext<HTMLElement | null>(null);

/** Puts its children into the margin, beside the sheet they belong to. */
export function MarginNotes({ children }: { children: ReactNode }) {
  const slot = useContext(MarginSlot);
  return slot && createPortal(<div className="flex flex-col gap-4">{children}</div>, slot);
}

export const MarginNote = ({ title, children }: { title: string; children: ReactNode }) => (
  <section>
    <h2 className="mb-1.5 border-b border-rule pb-1 text-base">{title}</h2>
    <div className="flex flex-col gap-2 text-[0.9375rem]">{children}</div>
  </section>
);
