import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../api/client';
import { follows } from '../../api/topics';

follows('colonies', ['journal', 'climate', 'rules', 'settings']);

export const useColonies = () =>
  useQuery({ queryKey: ['colonies'], queryFn: () => take(api.GET('/api/colonies')), staleTime: 60_000 });
