import { MutationCache, QueryCache, QueryClient } from '@tanstack/react-query';
import { Refusal } from './client';
import { failures } from './failures';

declare module '@tanstack/react-query' {
  interface Register {
    mutationMeta: {
      /** Whether whoever asks shows what goes wrong; else it is said in the bar. */
      isShown: boolean;
    };
  }
}

const isOutOfReach = (error: Error) => error instanceof Refusal && error.status === 0;

/** What the server holds, as this page knows it. Nothing that fails is passed over: each failure is said somewhere. */
export const queryClient = new QueryClient({
  queryCache: new QueryCache({
    onError: (error, query) => {
      if (error instanceof Refusal && error.status === 401) {
        void queryClient.invalidateQueries({ queryKey: ['session'] });
      } else if (!isOutOfReach(error) && query.state.data !== undefined) {
        // What is shown stays, and is old; a page that has nothing to show says so itself.
        failures.say(error);
      }
    },
  }),
  mutationCache: new MutationCache({
    onError: (error, _input, _context, mutation) => {
      if (error instanceof Refusal && error.status === 401) {
        void queryClient.invalidateQueries({ queryKey: ['session'] });
      }
      if (mutation.meta?.isShown !== true) {
        failures.say(error);
      }
    },
  }),
  defaultOptions: {
    // The server is on this machine or in this house: being off the internet is no reason to wait.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 10_000,
      retry: (count, error) => isOutOfReach(error) && count < 2,
    },
  },
});
