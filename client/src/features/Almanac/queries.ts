import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import { follows } from '../../api/topics';
import { useAsk } from '../../api/writing';

follows('almanac', ['journal', 'chores', 'larder', 'climate', 'rules', 'settings']);

export const useAlmanac = () =>
  useQuery({ queryKey: ['almanac'], queryFn: () => take(api.GET('/api/almanac')) });

/** Makes the address of the calendar, or takes it down. */
export const useFeed = () =>
  useAsk(
    (wanted: boolean) => take(wanted ? api.POST('/api/almanac/feed') : api.DELETE('/api/almanac/feed')),
    () => queryClient.invalidateQueries({ queryKey: ['almanac'] }),
    false,
  );
