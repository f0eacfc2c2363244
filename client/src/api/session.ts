import { api, type Schemas, take } from './client';
import { queryClient } from './queryClient';

export const sessionQuery = {
  queryKey: ['session'],
  queryFn: () => take(api.GET('/api/session')),
  staleTime: Number.POSITIVE_INFINITY,
};

const session = () => queryClient.getQueryData<Schemas['SessionView']>(sessionQuery.queryKey);

/** Proves that a change comes from an open page of the room; asked for once, and anew after signing in. */
export const csrfToken = (): string => session()?.token ?? '';

/** Who is signed in here; none where nobody is asked. */
export const signedInAs = (): string | null => session()?.name ?? null;

api.use({
  onRequest: ({ request }) => {
    if (request.method !== 'GET' && csrfToken() !== '') {
      request.headers.set('X-Lantern-Token', csrfToken());
    }
    return request;
  },
});
