import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../api/client';

/** What would come of another cadence; nothing is stored. */
export const useFedOtherwise = (id: string, every: number, enabled: boolean) =>
  useQuery({
    enabled,
    queryKey: ['animal', id, 'fed', every],
    queryFn: () => take(api.GET('/api/stock/{id}/fed', { params: { path: { id }, query: { every } } })),
    placeholderData: (former) => former,
  });
