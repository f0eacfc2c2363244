import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, setSignedIn, setToken, take } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import { outbox, useAsk } from '../../api/writing';

// What is done here is asked for and not kept in the outbox: a password must not lie on a device, and who may come in is
// decided at once or not at all.

const keep = (session: Schemas['SessionView']) => {
  setToken(session.token);
  setSignedIn(session.name);
  return session;
};

/** Whether one must sign in, and as whom one is. */
export const useSession = () =>
  useQuery({
    queryKey: ['session'],
    queryFn: async () => keep(await take(api.GET('/api/session'))),
    staleTime: Number.POSITIVE_INFINITY,
  });

const sessionChanged = async (session: Schemas['SessionView']) => {
  keep(session);
  queryClient.setQueryData(['session'], session);
  // What waited for a name is written now.
  outbox.poke();
  await queryClient.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
};

export const useSignIn = () =>
  useAsk(
    (body: Schemas['SignInRequest']) => take(api.POST('/api/session/sign-in', { body })),
    sessionChanged,
  );

export const useSignOut = () =>
  useAsk(
    () => take(api.POST('/api/session/sign-out')),
    // A fresh page: nothing of the room stays on the screen, or in its memory, for whoever comes next.
    () => window.location.assign('/'),
    false,
  );

export const useChangePassword = () =>
  useAsk(
    (body: Schemas['PasswordRequest']) => take(api.PUT('/api/session/password', { body })),
    (session) => queryClient.setQueryData(['session'], keep(session)),
  );

export const useAccess = (enabled: boolean) =>
  useQuery({ enabled, queryKey: ['access'], queryFn: () => take(api.GET('/api/access')) });

const accessChanged = async (access: Schemas['AccessView']) => {
  queryClient.setQueryData(['access'], access);
  await queryClient.invalidateQueries({ queryKey: ['session'] });
};

export const useSetOwner = () =>
  useAsk((body: Schemas['OwnerRequest']) => take(api.PUT('/api/access/owner', { body })), accessChanged);

export const useAddHelper = () =>
  useAsk((body: Schemas['HelperRequest']) => take(api.POST('/api/access/people', { body })), accessChanged);

export const useRemoveHelper = () =>
  useAsk(
    (id: string) => take(api.DELETE('/api/access/people/{id}', { params: { path: { id } } })),
    accessChanged,
    false,
  );

export const useEndSession = () =>
  useAsk(
    (id: string) => take(api.DELETE('/api/access/sessions/{id}', { params: { path: { id } } })),
    accessChanged,
    false,
  );
