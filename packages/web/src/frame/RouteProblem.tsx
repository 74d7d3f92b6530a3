import { isRouteErrorResponse, Link, useRouteError } from 'react-router';

/** Where an address leads nowhere, or a view broke. */
export function RouteProblem() {
  const error = useRouteError();
  const missing = error === undefined || (isRouteErrorResponse(error) && error.status === 404);
  return (
    <div role="alert" className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl">{missing ? 'No such page in this ledger' : 'This page stopped working'}</h1>
      <p className="my-3">{missing ? 'The address leads nowhere.' : 'What you entered is kept. Opening the page again usually helps; if it does not, the server may have been updated: load the page anew.'}</p>
      <Link to="/shelf" className="action main">To the shelf</Link>
    </div>
  );
}
