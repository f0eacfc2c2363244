import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, setSignedIn, setToken, take } from './client';
import { outbox, writing } from './writing';

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

function useAfterSession() {
  const client = useQueryClient();
  return async (session: Schemas['SessionView']) => {
    keep(session);
    client.setQueryData(['session'], session);
    await client.resetQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
    // What waited for a name is written now.
    outbox.poke();
  };
}

export function useSignIn() {
  const after = useAfterSession();
  return useMutation({
    mutationFn: (body: Schemas['SignInRequest']) => take(api.POST('/api/session/sign-in', { body })),
    onSuccess: after,
  });
}

export function useSignOut() {
  const after = useAfterSession();
  return useMutation({
    mutationFn: () => take(api.POST('/api/session/sign-out')),
    onSuccess: after,
  });
}

export function useChangePassword() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['PasswordRequest']) => take(api.PUT('/api/session/password', { body })),
    onSuccess: (session) => client.setQueryData(['session'], keep(session)),
  });
}

export const useAccess = (enabled: boolean) =>
  useQuery({ enabled, queryKey: ['access'], queryFn: () => take(api.GET('/api/access')) });

function useAccessChange<T>(send: (value: T) => Promise<Schemas['AccessView']>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSuccess: async (access) => {
      client.setQueryData(['access'], access);
      await client.invalidateQueries({ queryKey: ['session'] });
    },
  });
}

export const useSetOwner = () =>
  useAccessChange((body: Schemas['OwnerRequest']) => take(api.PUT('/api/access/owner', { body })));

export const useAddHelper = () =>
  useAccessChange((body: Schemas['HelperRequest']) => take(api.POST('/api/access/people', { body })));

export const useRemoveHelper = () =>
  useAccessChange((id: string) => take(api.DELETE('/api/access/people/{id}', { params: { path: { id } } })));

export const useEndSession = () =>
  useAccessChange((id: string) =>
    take(api.DELETE('/api/access/sessions/{id}', { params: { path: { id } } })),
  );

export const useSitterLinks = (enabled: boolean) =>
  useQuery({ enabled, queryKey: ['sitter-links'], queryFn: () => take(api.GET('/api/sitter-links')) });

export function useMakeSitterLink() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['SitterLinkRequest']) => take(api.POST('/api/sitter-links', { body })),
    onSuccess: (made) => client.setQueryData(['sitter-links'], made.links),
  });
}

export function useWithdrawSitterLink() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => take(api.DELETE('/api/sitter-links/{id}', { params: { path: { id } } })),
    onSuccess: (links) => client.setQueryData(['sitter-links'], links),
  });
}

/** Tonight's sheet behind a sitter's link. */
export const useSitterSheet = (secret: string) =>
  useQuery({
    queryKey: ['sit', secret],
    queryFn: () => take(api.GET('/api/sit/{secret}', { params: { path: { secret } } })),
    refetchInterval: 60_000,
  });

/** Ticks a line; none is answered while it waits for the server. */
export const useTick = (secret: string) =>
  useMutation({
    mutationFn: ({ text, ...body }: Schemas['TickRequest'] & { text: string }) =>
      writing.tick(secret, body, text),
  });
