import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../api/client';

/** The shared tanks of the room; they follow whatever the stock list follows. */
export const useTanks = () =>
  useQuery({ queryKey: ['stock', 'tanks'], queryFn: () => take(api.GET('/api/tanks')) });
