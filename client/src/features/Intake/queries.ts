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

/** Lists that come in by the same way. */
export const listKinds = ['happened', 'larder', 'chores', 'gear', 'contacts'] as const;

export type ListKind = (typeof listKinds)[number];

/** Reads such a list; nothing is written. */
export const useReadList = (kind: ListKind) =>
  useAsk((body: Schemas['KeepersList']) => take(api.POST(`/api/intake/${kind}/read`, { body })));

/** Writes all of such a list, or none; it is not kept when the server is out of reach. */
export const useWriteList = (kind: ListKind) =>
  useAsk(
    (body: Schemas['ListRequest']) => take(api.POST(`/api/intake/${kind}`, { body })),
    () => queryClient.invalidateQueries(),
  );
