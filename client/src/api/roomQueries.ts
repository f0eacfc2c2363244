import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, take } from './client';
import { wroteOurselves } from './own';
import { writing } from './writing';

export const useRound = () =>
  useQuery({ queryKey: ['round'], queryFn: () => take(api.GET('/api/round')), refetchInterval: 60_000 });

export const useResting = (shelf: string, enabled: boolean) =>
  useQuery({
    enabled,
    queryKey: ['round', 'resting', shelf],
    queryFn: () => take(api.GET('/api/round/resting/{shelf}', { params: { path: { shelf } } })),
  });

export const useNightPast = (night: string, enabled = true) =>
  useQuery({
    enabled,
    queryKey: ['night', night],
    queryFn: () => take(api.GET('/api/round/past/{night}', { params: { path: { night } } })),
  });

export const useNightAhead = (night: string) =>
  useQuery({
    queryKey: ['night', 'ahead', night],
    queryFn: () => take(api.GET('/api/round/ahead/{night}', { params: { path: { night } } })),
  });

export const useLineWhy = (stockId: string, enabled: boolean) =>
  useQuery({
    enabled,
    queryKey: ['animal', stockId, 'why'],
    queryFn: () => take(api.GET('/api/stock/{id}/why', { params: { path: { id: stockId } } })),
  });

export type StockFilter = Omit<NonNullable<Parameters<typeof stockPage>[0]>, 'from' | 'take'>;

/** By what the stock list can be ordered. */
export type StockOrder =
  'place' | 'name' | 'species' | 'stage' | 'phase' | 'lastMeal' | 'lastMolt' | 'awaited' | 'came';

const linesAtOnce = 100;

const stockPage = (query: {
  here?: boolean;
  find?: string;
  group?: string;
  species?: string;
  tag?: string;
  rack?: string;
  stage?: Schemas['Stage'];
  sex?: Schemas['Sex'];
  show?: string;
  order?: StockOrder;
  back?: boolean;
  from?: number;
  take?: number;
}) => take(api.GET('/api/stock', { params: { query } }));

/** One stretch of the stock list, for the lines that are looked at. */
export const useStockStretch = (filter: StockFilter, stretch: number) =>
  useQuery({
    queryKey: ['stock', filter, stretch],
    queryFn: () => stockPage({ ...filter, from: stretch * linesAtOnce, take: linesAtOnce }),
    placeholderData: (former) => former,
    staleTime: 30_000,
  });

/** The stock list, stretch by stretch; only those that are scrolled to are asked for. */
export const stockLinesAtOnce = linesAtOnce;

/** The people outside with whom the keeper deals. */
export const useContacts = () =>
  useQuery({ queryKey: ['contacts'], queryFn: () => take(api.GET('/api/contacts')) });

export function useSayContact() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['ContactRequest']) => {
      wroteOurselves(body.id);
      return take(api.POST('/api/contacts/journal', { body }));
    },
    onSuccess: (contacts) => client.setQueryData(['contacts'], contacts),
  });
}

/** The shared tanks of the room. */
export const useTanks = () =>
  useQuery({ queryKey: ['stock', 'tanks'], queryFn: () => take(api.GET('/api/tanks')) });

export const useFind = (text: string) =>
  useQuery({
    enabled: text !== '',
    queryKey: ['stock', 'find', text],
    queryFn: () => stockPage({ find: text, take: 12 }),
    placeholderData: (former) => former,
  });

/** Everything that matches, for acts on many at once. */
export const fetchStock = async (filter: StockFilter): Promise<Schemas['StockLine'][]> => {
  const lines: Schemas['StockLine'][] = [];
  for (;;) {
    const part = await stockPage({ ...filter, from: lines.length, take: 200 });
    lines.push(...part.lines);
    if (lines.length >= part.total || part.lines.length === 0) {
      return lines;
    }
  }
};

export const useFamily = (id: string) =>
  useQuery({
    queryKey: ['animal', id, 'family'],
    queryFn: () => take(api.GET('/api/stock/{id}/family', { params: { path: { id } } })),
  });

export const useShelves = () =>
  useQuery({ queryKey: ['shelves'], queryFn: () => take(api.GET('/api/shelves')) });

export const useRehousing = () =>
  useQuery({ queryKey: ['rehousing'], queryFn: () => take(api.GET('/api/shelves/rehousing')) });

export function useChangeLayout() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['LayoutChange']) => take(api.PUT('/api/shelves/layout', { body })),
    onSuccess: async (shelves) => {
      client.setQueryData(['shelves'], shelves);
      await client.invalidateQueries({ queryKey: ['round'] });
    },
  });
}

export const useChores = () =>
  useQuery({ queryKey: ['chores'], queryFn: () => take(api.GET('/api/chores')) });

export const useLogChore = () => useMutation({ mutationFn: writing.chore });

export const useAlmanac = () =>
  useQuery({ queryKey: ['almanac'], queryFn: () => take(api.GET('/api/almanac')) });

export function useFeed() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (wanted: boolean) =>
      wanted ? take(api.POST('/api/almanac/feed')) : take(api.DELETE('/api/almanac/feed')),
    onSuccess: () => client.invalidateQueries({ queryKey: ['almanac'] }),
  });
}

export const useLabels = () =>
  useQuery({ queryKey: ['labels'], queryFn: () => take(api.GET('/api/labels')) });

/** The sheet as a file to open. */
export const fetchLabelSheet = async (body: Schemas['LabelRequest']): Promise<Blob> =>
  await take(api.POST('/api/labels/pdf', { body, parseAs: 'blob' }));

export function usePrintLabels() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['LabelRequest']) => take(api.POST('/api/labels/print', { body })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['labels'] }),
  });
}

export function useLoadRoll() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['RollRequest']) => take(api.POST('/api/labels/roll', { body })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['labels'] }),
  });
}
