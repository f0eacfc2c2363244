import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../api/client';

/** How the room is reached from the network. */
export const useDoorway = () =>
  useQuery({
    queryKey: ['doorway'],
    queryFn: () => take(api.GET('/api/doorway')),
    staleTime: 60_000,
  });
