import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../api/client';
import { follows } from '../../api/topics';

follows('pairing', ['journal', 'climate', 'rules', 'settings']);
follows('kin', ['journal', 'rules']);

export const usePairingDesk = () =>
  useQuery({ queryKey: ['pairing'], queryFn: () => take(api.GET('/api/pairing')), staleTime: 60_000 });

export const useKin = (one: string, other: string) =>
  useQuery({
    queryKey: ['kin', one, other],
    queryFn: () => take(api.GET('/api/pairing/kin', { params: { query: { one, other } } })),
  });
