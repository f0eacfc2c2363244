import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../api/client';
import { follows } from '../../api/topics';
import { setTonight } from '../../ui/dates';

follows('round', ['journal', 'chores', 'shelves', 'larder', 'climate', 'rules', 'settings'], 'first');
follows('nightline', ['journal', 'chores', 'climate', 'rules', 'settings']);
follows('night', ['journal', 'chores', 'climate', 'rules', 'settings']);

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

export const useNightline = () =>
  useQuery({
    queryKey: ['nightline'],
    queryFn: async () => {
      const strip = await take(api.GET('/api/nightline'));
      setTonight(strip.tonight);
      return strip;
    },
  });

export const useLineWhy = (stockId: string, enabled: boolean) =>
  useQuery({
    enabled,
    queryKey: ['animal', stockId, 'why'],
    queryFn: () => take(api.GET('/api/stock/{id}/why', { params: { path: { id: stockId } } })),
  });
