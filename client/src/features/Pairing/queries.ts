import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../api/client';
import { follows } from '../../api/topics';

follows('pairing', ['journal', 'chores', 'climate', 'rules', 'settings']);
follows('kin', ['journal', 'rules']);
follows('kinChart', ['journal', 'rules']);
follows('run', ['journal', 'climate', 'rules', 'settings']);

export const usePairingDesk = () =>
  useQuery({ queryKey: ['pairing'], queryFn: () => take(api.GET('/api/pairing')), staleTime: 60_000 });

export const useKin = (one: string, other: string) =>
  useQuery({
    queryKey: ['kin', one, other],
    queryFn: () => take(api.GET('/api/pairing/kin', { params: { query: { one, other } } })),
  });

/** Everything to lead the pairing of an animal by; without a mate that of the pairing it is in. */
export const useRun = (one: string, other: string | null) =>
  useQuery({
    queryKey: ['run', `${one} ${other ?? ''}`],
    queryFn: () =>
      take(api.GET('/api/pairing/run', { params: { query: { one, ...(other === null ? {} : { other }) } } })),
  });

/** How near of kin the living animals of a species are. */
export const useKinChart = (species: string) =>
  useQuery({
    queryKey: ['kinChart', species],
    queryFn: () => take(api.GET('/api/pairing/chart', { params: { query: { species } } })),
  });
