import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../api/client';
import { follows } from '../../api/topics';

follows('honesty', ['journal', 'climate', 'rules', 'settings']);
follows('looks', ['journal', 'climate', 'rules', 'settings']);

export const useHonesty = () =>
  useQuery({ queryKey: ['honesty'], queryFn: () => take(api.GET('/api/honesty')), staleTime: 60_000 });

export const useLooks = () =>
  useQuery({ queryKey: ['looks'], queryFn: () => take(api.GET('/api/looks')), staleTime: 60_000 });

/** The journal is gone through a second time for it: only when it is asked for. */
export const useWarmthHelps = (asked: boolean) =>
  useQuery({
    enabled: asked,
    queryKey: ['honesty', 'warmth'],
    queryFn: () => take(api.GET('/api/honesty/warmth')),
    staleTime: 60_000,
  });
