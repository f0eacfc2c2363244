import { type ComponentType, lazy, type LazyExoticComponent } from 'react';
import { reach } from '../api/reach';

/** Until the server, which did not answer, is heard of again. */
const back = () =>
  new Promise<void>((heard) => {
    const stop = reach.whenBack(() => {
      stop();
      heard();
    });
  });

/**
 * What stands beside a page and is fetched once the page is told. Where it cannot be fetched the page goes on without it, and
 * it is asked for again when the server is back: at the edge of the radio nobody loses the round over its alarms.
 */
export function aside<P>(fetch: () => Promise<ComponentType<P>>): LazyExoticComponent<ComponentType<P>> {
  return lazy(async () => {
    for (;;) {
      try {
        return { default: await fetch() };
        // eslint-disable-next-line no-restricted-syntax -- the page is told without it, and says itself that the server is away
      } catch {
        await back();
      }
    }
  });
}
