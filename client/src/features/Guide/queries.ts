import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../api/client';
import { follows } from '../../api/topics';

follows('guide', ['rules', 'settings']);

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
