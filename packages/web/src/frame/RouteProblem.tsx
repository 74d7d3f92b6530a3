import type { ReactNode } from 'react';
import { isRouteErrorResponse, Link, useRouteError } from 'react-router';

const Trouble = ({ title, children }: { title: string; children: ReactNode }) => (
  <div role="alert" className="mx-auto max-w-xl p-8">
    <h1 className="text-2xl">{title}</h1>
    <p className="my-3">{children}</p>
    <Link to="/shelf" className="action main">
      To the shelf
    </Link>
  </div>
);

/** Where an address leads nowhere. */
export const NoSuchPage = () => <Trouble title="No such page in this ledger">The address leads nowhere.</Trouble>;

/** Where a view broke. */
export function RouteProblem() {
  const error = useRouteError();
  if (isRouteErrorResponse(error) && error.status === 404) return <NoSuchPage />;
  return (
    <Trouble title="This page stopped working">
      What you entered is kept. Opening the page again usually helps; if it does not, the program may have been updated:
      load the page anew.
    </Trouble>
  );
}
