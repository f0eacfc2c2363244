import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { Schemas } from './client';
import { isOurs } from './own';
import { reach } from './reach';
import { topicChanged } from './topics';
import { outbox } from './writing';

/** Looks again at what somebody else has written, as it is written, and notes whether the server is in reach. */
export function useLive(): void {
  const client = useQueryClient();
  useEffect(() => {
    if (typeof EventSource === 'undefined') {
      return;
    }
    const source = new EventSource('/api/live');
    let heardBefore = false;
    source.onmessage = (message: MessageEvent<string>) => {
      const told = JSON.parse(message.data) as Schemas['LiveEvent'];
      reach.heard();
      if (told.topic === 'anything') {
        outbox.poke();
        // The first greeting brings nothing new; one after a break may.
        if (heardBefore) {
          void client.invalidateQueries();
        }
        heardBefore = true;
      } else if (!isOurs(told.ids)) {
        void topicChanged(client, told.topic);
      }
    };
    // It comes again by itself; until then what is shown may be old.
    source.onerror = () => reach.silent();
    return () => source.close();
  }, [client]);
}
