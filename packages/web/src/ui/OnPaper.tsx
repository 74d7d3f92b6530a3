import type { ReactNode } from 'react';

/** What stands on paper in place of the fields it was typed in. */
export const OnPaper = ({ title, children }: { title: ReactNode; children?: ReactNode }) => (
  <div className="hidden print:block">
    <h2 className="text-2xl">{title}</h2>
    {children && <div className="mt-1">{children}</div>}
  </div>
);
