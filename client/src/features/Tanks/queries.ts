import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { useColonies } from '../Colonies/queries';

/** The shared tanks of the room; they follow whatever the stock list follows. */
export const useTanks = () =>
  useQuery({ queryKey: ['stock', 'tanks'], queryFn: () => take(api.GET('/api/tanks')) });

/** Who lives in a tank of crabs. */
export function useTankMates(tankId: string): readonly Schemas['TankMate'][] {
  return useColonies().data?.tanks.find((t) => t.stockId === tankId)?.board.value?.mates ?? [];
}
