import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type AnimalView, type Schemas, take } from '../../api/client';
import { follows } from '../../api/topics';
import { useWrite } from '../../api/writing';

follows('nursery', ['journal', 'climate', 'rules', 'settings']);
follows('larvaGuess', ['rules']);
follows('brood', ['journal', 'climate', 'rules', 'settings']);

export const useNursery = () =>
  useQuery({ queryKey: ['nursery'], queryFn: () => take(api.GET('/api/nursery')), staleTime: 60_000 });

/** What an unknown larva may be; asked anew with every tick. */
export const useLarvaGuess = (plant: string, looks: readonly Schemas['LarvaLook'][]) =>
  useQuery({
    queryKey: ['larvaGuess', plant, looks],
    queryFn: () => take(api.POST('/api/nursery/guess', { body: { plant, looks: [...looks] } })),
    placeholderData: keepPreviousData,
  });

export const useBrood = (id: string) =>
  useQuery({
    queryKey: ['brood', id],
    queryFn: () => take(api.GET('/api/nursery/{id}', { params: { path: { id } } })),
  });

/** Vials whose animals get records of their own, all or none; a refusal is shown where it was asked. */
export const usePromote = () =>
  useWrite<Schemas['PromoteRequest'] & { broodId: string; text: string }, AnimalView>(
    ({ broodId, text, ...body }) => ({
      path: `/api/nursery/${broodId}/promote`,
      body,
      ids: body.vials.map((v) => v.entryId),
      about: [broodId],
      topic: 'journal',
      text,
    }),
    true,
  );
