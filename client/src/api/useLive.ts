import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { Schemas } from './client';
import { isOurs } from './own';
import { afterJournal } from './queries';
import { outbox } from './writing';

/** As the server tells it; the stream is not part of the OpenAPI document. */
interface LiveEvent {
  what: 'all' | 'journal' | 'chores' | 'shelves' | 'larder';
  ids: string[];
  stock: Schemas['StockLine']['stockId'][];
  by: string;
}

/** Looks again at what somebody else has written, as it is written. */
export function useLive(enabled: boolean): void {
  const client = useQueryClient();
  useEffect(() => {
    if (!enabled || typeof EventSource === 'undefined') {
      return;
    }
    const source = new EventSource('/api/live');
    let heardBefore = false;
    source.onmessage = (message: MessageEvent<string>) => {
      const told = JSON.parse(message.data) as LiveEvent;
      if (told.what === 'all') {
        outbox.poke();
      }
      if (told.what === 'all') {
        // The first greeting brings nothing new; one after a break may.
        if (heardBefore) {
          void client.invalidateQueries();
        }
        heardBefore = true;
        return;
      }
      if (isOurs(told.ids)) {
        return;
      }
      if (told.what === 'journal') {
        told.stock.forEach((id) => void client.invalidateQueries({ queryKey: ['animal', id] }));
        void afterJournal(client);
      } else {
        for (const key of [
          told.what,
          ...(told.what === 'larder' ? ['larderWork'] : []),
          'round',
          'almanac',
        ]) {
          void client.invalidateQueries({ queryKey: [key] });
        }
      }
    };
    return () => source.close();
  }, [client, enabled]);
}
