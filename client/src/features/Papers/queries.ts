import { api, take } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import { csrfToken } from '../../api/session';
import { useAsk } from '../../api/writing';

/** Papers go to the server as they are; they are not kept when it is out of reach. */
const sent = (file: File) => ({
  body: '',
  bodySerializer: () => file,
  headers: { 'Content-Type': 'application/zip', 'X-Lantern-Token': csrfToken() },
});

export const useReadPapers = () =>
  useAsk((file: File) => take(api.POST('/api/papers/read', sent(file))), undefined, false);

interface Said {
  id: string;
  file: File;
  place: string;
  name: string;
  count: string;
  from: string;
}

export const useTakeIn = () =>
  useAsk(
    ({ id, file, place, name, count, from }: Said) =>
      take(
        api.POST('/api/papers', {
          params: {
            query: {
              Id: id,
              Place: place,
              Name: name,
              Count: Number(count),
              ...(from === '' ? {} : { From: from }),
            },
          },
          ...sent(file),
        }),
      ),
    () => queryClient.invalidateQueries(),
    false,
  );
