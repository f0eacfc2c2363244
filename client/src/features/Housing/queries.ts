import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { follows, keepsAnswer } from '../../api/topics';
import { useWrite } from '../../api/writing';

follows('shelves', ['journal', 'shelves', 'rules', 'settings'], 'first');
follows('rehousing', ['journal', 'rules', 'settings']);

keepsAnswer('shelves', (client, _, answer) => {
  const key = ['shelves'];
  client.setQueryData(key, answer);
  return [key];
});

export const useShelves = () =>
  useQuery({ queryKey: ['shelves'], queryFn: () => take(api.GET('/api/shelves')) });

export const useRehousing = () =>
  useQuery({ queryKey: ['rehousing'], queryFn: () => take(api.GET('/api/shelves/rehousing')) });

export const useChangeLayout = () =>
  useWrite<Schemas['LayoutChange'], Schemas['ShelvesView']>((body) => ({
    method: 'PUT',
    path: '/api/shelves/layout',
    body,
    topic: 'shelves',
    text: 'racks and shelves',
  }));
