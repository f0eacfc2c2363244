import { useSyncExternalStore } from 'react';

/** Whether a media query holds. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (changed) => {
      const list = window.matchMedia(query);
      list.addEventListener('change', changed);
      return () => list.removeEventListener('change', changed);
    },
    () => window.matchMedia(query).matches,
  );
}

/** Room for one thing beside another. */
export const useIsWide = () => useMedia('(min-width: 1080px)');

/** A phone in one hand. */
export const useIsPhone = () => useMedia('(max-width: 640px)');
