import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { keeping } from '../../api/keeping';
import { queryClient } from '../../api/queryClient';
import { sessionQuery } from '../../api/session';
import { outbox, useAsk } from '../../api/writing';

// What is done here is asked for and not kept in the outbox: a password must not lie on a device, and who may come in is
// decided at once or not at all.

/** Whether one must sign in, and as whom one is. */
export const useSession = () => useQuery(sessionQuery);

const sessionChanged = async (session: Schemas['SessionView']) => {
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
    // Nothing of the room stays on the device, on the screen or in its memory, for whoever comes next.
    async () => {
      await keeping.forget();
      window.location.assign('/');
    },
    false,
  );

export const useChangePassword = () =>
  useAsk(
    (body: Schemas['PasswordRequest']) => take(api.PUT('/api/session/password', { body })),
    (session) => queryClient.setQueryData(['session'], session),
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
