import { useEffect } from 'react';

/** Keeps the screen of a phone lit while it is looked at; on a page that is not encrypted there is no such thing. */
export function useWakeLock(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator) || !window.matchMedia('(pointer: coarse)').matches) {
      return;
    }
    let held: WakeLockSentinel | null = null;
    let over = false;
    const hold = async () => {
      if (document.visibilityState !== 'visible' || held !== null) {
        return;
      }
      try {
        const fresh = await navigator.wakeLock.request('screen');
        if (over) {
          await fresh.release();
          return;
        }
        held = fresh;
        fresh.addEventListener('release', () => {
          held = null;
        });
        // eslint-disable-next-line no-restricted-syntax -- a low battery forbids it, and the screen then darkens as it always did
      } catch {
        held = null;
      }
    };
    const look = () => void hold();
    look();
    document.addEventListener('visibilitychange', look);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', look);
      void held?.release();
    };
  }, [wanted]);
}
