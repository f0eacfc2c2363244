import { useQuery } from '@tanstack/react-query';
import { type AnimalView, api, type Schemas, take } from '../../api/client';
import { follows, keepsAnswer } from '../../api/topics';
import { sitterSecret, useWrite } from '../../api/writing';

follows('animal', ['journal', 'larder', 'shelves', 'climate', 'rules', 'settings']);
follows('stock', ['journal', 'climate', 'rules', 'settings']);

// What was written of one animal is answered with its page; what came through a sitter's link with the sitter's sheet.
keepsAnswer('journal', (client, item, answer) => {
  const secret = sitterSecret(item);
  if (secret !== null) {
    const key = ['sit', secret];
    client.setQueryData(key, answer);
    return [key];
  }
  const [about] = item.about;
  const view = answer as Partial<AnimalView> | null;
  if (item.about.length !== 1 || about === undefined || view?.stockId !== about) {
    return [];
  }
  const key = ['animal', about];
  client.setQueryData(key, answer);
  return [key];
});

export const useAnimal = (id: string, enabled = true) =>
  useQuery({
    enabled,
    queryKey: ['animal', id],
    queryFn: () => take(api.GET('/api/stock/{id}', { params: { path: { id } } })),
  });

export const useFamily = (id: string) =>
  useQuery({
    queryKey: ['animal', id, 'family'],
    queryFn: () => take(api.GET('/api/stock/{id}/family', { params: { path: { id } } })),
  });

export type StockFilter = Omit<NonNullable<Parameters<typeof stockPage>[0]>, 'from' | 'take'>;

/** By what the stock list can be ordered. */
export type StockOrder =
  'place' | 'name' | 'species' | 'stage' | 'phase' | 'lastMeal' | 'lastMolt' | 'awaited' | 'came';

/** So many lines are asked for at once; only stretches that are scrolled to are asked for. */
export const stockLinesAtOnce = 100;

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
  awaitedBefore?: string;
  newSince?: string;
  order?: StockOrder;
  back?: boolean;
  from?: number;
  take?: number;
}) => take(api.GET('/api/stock', { params: { query } }));

/** One stretch of the stock list, for the lines that are looked at. */
export const useStockStretch = (filter: StockFilter, stretch: number) =>
  useQuery({
    queryKey: ['stock', filter, stretch],
    queryFn: () => stockPage({ ...filter, from: stretch * stockLinesAtOnce, take: stockLinesAtOnce }),
    placeholderData: (former) => former,
    staleTime: 30_000,
  });

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

export const useAddStock = () =>
  useWrite<Schemas['NewStock'], AnimalView>((body) => ({
    path: '/api/stock',
    body,
    ids: [body.entryId],
    about: [body.id],
    topic: 'journal',
    text: `${body.details.nickname} came`,
  }));

export const useChangeStock = () =>
  useWrite<Schemas['StockChange'] & { id: string }, AnimalView>(({ id, ...body }) => ({
    method: 'PUT',
    path: `/api/stock/${id}`,
    body,
    ids: [body.entryId],
    about: [id],
    topic: 'journal',
    text: `${body.details.nickname}: details changed`,
  }));
