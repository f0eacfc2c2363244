import { queryClient } from '../../api/queryClient';
import { api, type Schemas, take } from '../../api/client';
import { useAsk, useWrite } from '../../api/writing';

/** Reads a table; nothing is written. */
export const useReadTable = () =>
  useAsk((body: Schemas['IntakeTable']) => take(api.POST('/api/intake/read', { body })));

/** Writes all animals of a table, or none. */
export const useWriteTable = () =>
  useWrite<Schemas['IntakeRequest'], Schemas['IntakeWritten']>((body) => ({
    path: '/api/intake',
    body,
    ids: [body.id],
    about: [`table ${body.id}`],
    topic: 'journal',
    text: `table of ${body.table.cells?.length ?? 0} animals`,
  }));

/** Reads a table of what happened; nothing is written. */
export const useReadHappened = () =>
  useAsk((body: Schemas['HappenedTable']) => take(api.POST('/api/intake/happened/read', { body })));

/** Writes all of such a table, or none; it is not kept when the server is out of reach. */
export const useWriteHappened = () =>
  useAsk(
    (body: Schemas['HappenedRequest']) => take(api.POST('/api/intake/happened', { body })),
    () => queryClient.invalidateQueries(),
  );
