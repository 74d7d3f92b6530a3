import type { ReactNode } from 'react';

/** What something is, in a sentence below its name. */
export const Explained = ({ children }: { children: ReactNode }) => (
  <span className="block max-w-72 text-sm font-normal text-faint">{children}</span>
);
