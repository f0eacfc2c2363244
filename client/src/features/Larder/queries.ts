import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { follows } from '../../api/topics';
import { useWrite } from '../../api/writing';

follows('larder', ['larder', 'journal', 'rules', 'settings'], 'first');
// Not anew with every meal that is logged: the plan is dear in a large room, and one meal hardly moves it.
follows('larderWork', ['larder', 'rules', 'settings']);
follows('feeders', ['rules', 'settings']);

export const useLarder = () =>
  useQuery({ queryKey: ['larder'], queryFn: () => take(api.GET('/api/larder')) });

export const useFeeders = () =>
  useQuery({ queryKey: ['feeders'], queryFn: () => take(api.GET('/api/feeders')) });

/** What falls on a night at the larder. Asked apart from the round, which must not wait for the larder's plan. */
export const useLarderWork = (night: string) =>
  useQuery({
    queryKey: ['larderWork', night],
    queryFn: () => take(api.GET('/api/larder/work', { params: { query: { night } } })),
    staleTime: 60_000,
  });

/** Logs what is told in a form; or at once from a button, where a refusal is set aside. */
export const useLogInLarder = (from: 'form' | 'button' = 'form') =>
  useWrite<Pick<Schemas['LarderRequest'], 'id' | 'act'> & { text: string }, Schemas['LarderWritten']>(
    ({ text, ...body }) => ({
      path: '/api/larder/journal',
      body,
      ids: [body.id],
      topic: 'larder',
      text,
    }),
    from === 'form',
  );

export const useOrder = () =>
  useWrite<Schemas['OrderRequest'], Schemas['LarderWritten']>((body) => ({
    path: '/api/larder/orders',
    body,
    ids: [body.id],
    topic: 'larder',
    text: `order of ${body.lines.length === 1 ? '1 line' : `${body.lines.length} lines`}`,
  }));

export const useSetFeeder = () =>
  useWrite<Schemas['OwnFeeder'] & { id: string }, Schemas['FeederView']>(({ id, ...body }) => ({
    method: 'PUT',
    path: `/api/feeders/${id}`,
    body,
    about: [`feeder ${id}`],
    topic: 'rules',
    text: `feeder ${body.name}`,
  }));
