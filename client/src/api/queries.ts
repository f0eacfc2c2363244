import { QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type AnimalView, api, Refusal, type Schemas, take } from './client';
import { setTonight } from '../ui/dates';
import { wroteOurselves } from './own';
import { sitterSecret, whenWritten, writing } from './writing';

export const queryClient = new QueryClient({
  defaultOptions: {
    // The server is on this machine: being off the network is no reason to wait.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 10_000,
      retry: (count, error) => error instanceof Refusal && error.status === 0 && count < 2,
    },
  },
});

export const useNightline = () =>
  useQuery({
    queryKey: ['nightline'],
    queryFn: async () => {
      const strip = await take(api.GET('/api/nightline'));
      setTonight(strip.tonight);
      return strip;
    },
  });

export const useAnimal = (id: string, enabled = true) =>
  useQuery({
    enabled,
    queryKey: ['animal', id],
    queryFn: () => take(api.GET('/api/stock/{id}', { params: { path: { id } } })),
  });

/** What would come of another cadence; nothing is stored. */
export const useFedOtherwise = (id: string, every: number, enabled: boolean) =>
  useQuery({
    enabled,
    queryKey: ['animal', id, 'fed', every],
    queryFn: () => take(api.GET('/api/stock/{id}/fed', { params: { path: { id }, query: { every } } })),
    placeholderData: (former) => former,
  });

export const useRulebook = () =>
  useQuery({
    queryKey: ['rulebook'],
    queryFn: () => take(api.GET('/api/rulebook')),
    staleTime: Number.POSITIVE_INFINITY,
  });

export const useSpecies = (id: string) =>
  useQuery({
    queryKey: ['species', id],
    queryFn: () => take(api.GET('/api/rulebook/species/{id}', { params: { path: { id } } })),
  });

export const useRule = (name: string, stockId: string, enabled: boolean) =>
  useQuery({
    enabled,
    retry: false,
    queryKey: ['rule', name, stockId],
    queryFn: () => take(api.GET('/api/rulebook/rule', { params: { query: { name, stockId } } })),
  });

export const useClimate = () =>
  useQuery({ queryKey: ['climate'], queryFn: () => take(api.GET('/api/climate')) });

export function useAddReading() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['ReadOff']) => take(api.POST('/api/climate', { body })),
    onSuccess: async (readings) => {
      client.setQueryData(['climate'], readings);
      await client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'climate' });
    },
  });
}

export const useGuide = (group: string) =>
  useQuery({
    queryKey: ['guide', group],
    queryFn: () => take(api.GET('/api/guide/{group}', { params: { path: { group } } })),
  });

/** The guide for one animal: with its figures, and without asking what is known of it. */
export const useGuideOf = (id: string) =>
  useQuery({
    queryKey: ['animal', id, 'guide'],
    queryFn: () => take(api.GET('/api/stock/{id}/guide', { params: { path: { id } } })),
  });

export const useHonesty = () =>
  useQuery({ queryKey: ['honesty'], queryFn: () => take(api.GET('/api/honesty')), staleTime: 60_000 });

export const useLessons = () =>
  useQuery({ queryKey: ['lessons'], queryFn: () => take(api.GET('/api/lessons')) });

export const usePreviewOverride = () =>
  useMutation({
    mutationFn: (body: Schemas['RuleOverride']) =>
      take(api.POST('/api/rulebook/overrides/preview', { body })),
  });

/** After a change of rules everything may read otherwise. */
function useAfterRules() {
  const client = useQueryClient();
  return () => client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'guide' });
}

export function useSetOverride() {
  const after = useAfterRules();
  return useMutation({
    mutationFn: (body: Schemas['RuleOverride']) => take(api.POST('/api/rulebook/overrides', { body })),
    onSuccess: after,
  });
}

export function useGiveUpOverride() {
  const after = useAfterRules();
  return useMutation({
    mutationFn: async (id: string) => {
      const { error, response } = await api.DELETE('/api/rulebook/overrides/{id}', {
        params: { path: { id } },
      });
      if (error !== undefined) {
        throw new Refusal('That change is gone already.', {}, response.status);
      }
    },
    onSuccess: after,
  });
}

export function useAddSpecies() {
  const after = useAfterRules();
  return useMutation({
    mutationFn: (body: Schemas['SpeciesProfile']) => take(api.POST('/api/rulebook/species', { body })),
    onSuccess: after,
  });
}

export interface NewPicture {
  stockId: string;
  pictureId: string;
  entryId: string;
  caption: string;
  ofExuvia: boolean;
  file: Blob;
}

export function useAddPicture() {
  const after = useAfterWrite();
  return useMutation({
    mutationFn: ({ stockId, file, ...query }: NewPicture) =>
      take(
        api.POST('/api/stock/{id}/pictures', {
          params: { path: { id: stockId }, query },
          headers: { 'Content-Type': file.type },
          body: file as unknown as string,
          bodySerializer: (body) => body as unknown as BodyInit,
        }),
      ),
    onSuccess: after,
  });
}

export const useSettings = () =>
  useQuery({ queryKey: ['settings'], queryFn: () => take(api.GET('/api/settings')) });

/** What to log: the same id is written once, however often it is sent. */
export interface LogInput extends Pick<Schemas['LogRequest'], 'id' | 'act'> {
  stockId: string;
  /** What it is, in a few words, for as long as the server has not put it into its own. */
  text: string;
  /** Whether a refusal is shown at its fields; else it is set aside. */
  shows: boolean;
  foundOn?: string | null;
  lastSeenBefore?: string | null;
  corrects?: string | null;
}

/** What follows the journal. The lists follow when they can. */
const followers = [
  'nightline',
  'stock',
  'lessons',
  'honesty',
  'larder',
  'shelves',
  'rehousing',
  'almanac',
  'night',
];

/** Asks anew for what follows the journal; only the round is waited for, so that the next key finds its line. */
export async function afterJournal(client: QueryClient): Promise<void> {
  for (const key of followers) {
    void client.invalidateQueries({ queryKey: [key] });
  }
  await client.invalidateQueries({ queryKey: ['round'] });
}

function useAfterWrite() {
  const client = useQueryClient();
  return async (animal: AnimalView) => {
    client.setQueryData(['animal', animal.stockId], animal);
    await afterJournal(client);
  };
}

// What was written is shown wherever it is: what was answered, and what follows it.
whenWritten(async (item, answer) => {
  const [about] = item.about;
  if (about === 'larder') {
    await afterLarder(queryClient);
  } else if (about === 'chores') {
    queryClient.setQueryData(['chores'], answer);
    for (const key of ['almanac', 'night']) {
      void queryClient.invalidateQueries({ queryKey: [key] });
    }
    await queryClient.invalidateQueries({ queryKey: ['round'] });
  } else if (sitterSecret(item) !== null) {
    queryClient.setQueryData(['sit', sitterSecret(item)], answer);
  } else {
    if (item.about.length === 1 && (answer as AnimalView).stockId === about) {
      queryClient.setQueryData(['animal', about], answer);
    } else {
      void queryClient.invalidateQueries({ queryKey: ['animal'] });
    }
    await afterJournal(queryClient);
  }
});

/** Logs an entry; none is answered while it waits for the server. */
export const useLog = () =>
  useMutation({
    mutationFn: ({ stockId, text, shows, ...body }: LogInput) => writing.log(stockId, body, text, shows),
  });

export const useUndo = () =>
  useMutation({
    mutationFn: ({ stockId, text, ...body }: Schemas['UndoRequest'] & { stockId: string; text: string }) =>
      writing.undo(stockId, body, text),
  });

/** Writes entries of many animals, all or none. */
export const useLogBatch = () =>
  useMutation({
    mutationFn: ({ text, ...body }: Schemas['BatchRequest'] & { text: string }) => writing.batch(body, text),
  });

export function useAddStock() {
  const after = useAfterWrite();
  return useMutation({
    mutationFn: (body: Schemas['NewStock']) => take(api.POST('/api/stock', { body })),
    onSuccess: after,
  });
}

export function useChangeStock() {
  const after = useAfterWrite();
  return useMutation({
    mutationFn: ({ id, ...body }: Schemas['StockChange'] & { id: string }) =>
      take(api.PUT('/api/stock/{id}', { params: { path: { id } }, body })),
    onSuccess: after,
  });
}

export function useChangeSettings() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['VersionedSettings']) => take(api.PUT('/api/settings', { body })),
    onSuccess: async (settings) => {
      client.setQueryData(['settings'], settings);
      await client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'settings' });
    },
  });
}

export const useLarder = () =>
  useQuery({ queryKey: ['larder'], queryFn: () => take(api.GET('/api/larder')) });

export const useFeeders = () =>
  useQuery({ queryKey: ['feeders'], queryFn: () => take(api.GET('/api/feeders')) });

/** What the room keeps decides what is offered: after a change in the larder the rest is asked anew as well. */
async function afterLarder(client: QueryClient): Promise<void> {
  for (const key of ['round', 'animal', 'larderWork']) {
    void client.invalidateQueries({ queryKey: [key] });
  }
  await client.invalidateQueries({ queryKey: ['larder'] });
}

function useAfterLarder() {
  const client = useQueryClient();
  return () => afterLarder(client);
}

/**
 * What falls on a night at the larder. Asked apart from the round, which must not wait for the larder's plan, and not anew
 * with every meal that is logged: the plan is dear in a large room, and one meal hardly moves it.
 */
export const useLarderWork = (night: string) =>
  useQuery({
    queryKey: ['larderWork', night],
    queryFn: () => take(api.GET('/api/larder/work', { params: { query: { night } } })),
    staleTime: 60_000,
  });

export const useLogInLarder = () => useMutation({ mutationFn: writing.larder });

export function useOrder() {
  const after = useAfterLarder();
  return useMutation({
    mutationFn: (body: Schemas['OrderRequest']) => {
      wroteOurselves(body.id);
      return take(api.POST('/api/larder/orders', { body }));
    },
    onSuccess: after,
  });
}

export function useSetFeeder() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: Schemas['OwnFeeder'] & { id: string }) =>
      take(api.PUT('/api/feeders/{id}', { params: { path: { id } }, body })),
    onSuccess: async () => {
      await client.invalidateQueries();
    },
  });
}
