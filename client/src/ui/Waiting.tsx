import { Button } from './Button';
import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Lantern } from './Lantern';

/** Shows what a query brought, and something calm while it has not or when it failed. */
export function Waiting<T>({
  query,
  what,
  children,
}: {
  query: UseQueryResult<T>;
  what: string;
  children: (data: T) => ReactNode;
}) {
  if (query.data !== undefined) {
    return children(query.data);
  }
  if (query.isError) {
    return (
      <div className="m-auto max-w-sm p-8 text-center" role="alert">
        <Lantern shutters={3} className="mx-auto mb-3 size-10" />
        <p className="font-display text-18">{what} did not come.</p>
        <p className="mt-1 mb-4 text-muted">{query.error.message}</p>
        <Button onClick={() => void query.refetch()}>Try again</Button>
      </div>
    );
  }
  return (
    <div className="m-auto p-8 text-center text-muted" role="status">
      <Lantern shutters={0} className="mx-auto mb-3 size-10 opacity-40" />
      {what}…
    </div>
  );
}
