import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import { useAsk, useWrite } from '../../api/writing';
// What a sitter ticks is answered with the sheet, as the stock's queries take it over.
import '../Stock/queries';

export const useSitterLinks = (enabled: boolean) =>
  useQuery({ enabled, queryKey: ['sitter-links'], queryFn: () => take(api.GET('/api/sitter-links')) });

/** Makes a link; its secret is answered once and kept nowhere. */
export const useMakeSitterLink = () =>
  useAsk(
    (body: Schemas['SitterLinkRequest']) => take(api.POST('/api/sitter-links', { body })),
    (made) => queryClient.setQueryData(['sitter-links'], made.links),
  );

export const useWithdrawSitterLink = () =>
  useAsk(
    (id: string) => take(api.DELETE('/api/sitter-links/{id}', { params: { path: { id } } })),
    (links) => queryClient.setQueryData(['sitter-links'], links),
    false,
  );

/** Tonight's sheet behind a sitter's link. */
export const useSitterSheet = (secret: string) =>
  useQuery({
    queryKey: ['sit', secret],
    queryFn: () => take(api.GET('/api/sit/{secret}', { params: { path: { secret } } })),
    refetchInterval: 60_000,
  });

/** Ticks a line; none is answered while it waits for the server. What looks wrong shows what was refused; a tick is set aside. */
export const useTick = (secret: string, shows: boolean) =>
  useWrite<Schemas['TickRequest'] & { text: string }, Schemas['SitterView']>(
    ({ text, ...body }) => ({
      path: `/api/sit/${secret}/ticks`,
      body,
      ids: [body.id],
      about: [body.stockId],
      topic: 'journal',
      text,
      seen: queryClient.getQueryData<Schemas['SitterView']>(['sit', secret])?.seen ?? null,
    }),
    shows,
  );

/** Takes back what was ticked tonight; what the server refuses is set aside. */
export const useTakeBackTick = (secret: string) =>
  useWrite<Schemas['TickUndo'] & { stockId: string; text: string }, Schemas['SitterView']>(
    ({ stockId, text, ...body }) => ({
      path: `/api/sit/${secret}/undo`,
      body,
      ids: [body.id],
      about: [stockId],
      topic: 'journal',
      text,
    }),
    false,
  );
