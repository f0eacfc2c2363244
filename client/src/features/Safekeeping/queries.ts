import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import { csrfToken } from '../../api/session';
import { follows } from '../../api/topics';
import { useAsk } from '../../api/writing';

follows('troubles', ['troubles']);
follows('safekeeping', ['troubles', 'journal']);

/** Seldom enough to cost nothing, often enough that a full disk is told before the evening is over. */
const everyMs = 60_000;

/** What is not as it should be with the record, each in a sentence. */
export const useTroubles = () =>
  useQuery({
    queryKey: ['troubles'],
    queryFn: () => take(api.GET('/api/troubles')),
    refetchInterval: everyMs,
  });

export const useSafekeeping = () =>
  useQuery({ queryKey: ['safekeeping'], queryFn: () => take(api.GET('/api/safekeeping')) });

const changed = async (view: Schemas['SafekeepingView']) => {
  queryClient.setQueryData(['safekeeping'], view);
  await queryClient.invalidateQueries({ queryKey: ['troubles'] });
};

/** Takes as long as it takes: a large room is copied, looked through or loaded in a minute or two. */
const patient = (request: Request): Promise<Response> => fetch(request);

export const useMakeBackup = () =>
  useAsk(() => take(api.POST('/api/safekeeping/backups', { fetch: patient })), changed);

export const useCheckRecord = () =>
  useAsk(
    () => take(api.POST('/api/safekeeping/check', { fetch: patient })),
    () => queryClient.invalidateQueries({ queryKey: ['safekeeping'] }),
  );

/** What putting a copy back would change. */
export const useRestorePreview = (name: string) =>
  useQuery({
    queryKey: ['restorePreview', name],
    queryFn: () =>
      take(
        api.GET('/api/safekeeping/backups/{name}/preview', { params: { path: { name } }, fetch: patient }),
      ),
    staleTime: 0,
    gcTime: 0,
    retry: false,
  });

export const useRestore = () =>
  useAsk(
    (name: string) =>
      take(
        api.POST('/api/safekeeping/backups/{name}/restore', { params: { path: { name } }, fetch: patient }),
      ),
    async (view) => {
      await changed(view);
      await queryClient.invalidateQueries();
    },
  );

/** Loads a room file or an archive; it is not kept when the server is out of reach. */
export const useLoadRoom = () =>
  useAsk(
    (file: File) =>
      take(
        api.POST('/api/safekeeping/load', {
          body: '',
          bodySerializer: () => file,
          headers: {
            'Content-Type': file.name.endsWith('.json') ? 'application/json' : 'application/zip',
            'X-Lantern-Token': csrfToken(),
          },
          fetch: patient,
        }),
      ),
    () => queryClient.invalidateQueries(),
  );
