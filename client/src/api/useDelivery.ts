import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { reach } from './reach';
import { outbox, useOutbox } from './writing';

/** Takes up what waits for the server, and tries again whenever it may be in reach; asks to sign in where that is missing. */
export function useDelivery(): void {
  const client = useQueryClient();
  const { signIn } = useOutbox();
  useEffect(() => {
    void outbox.open();
    const poke = () => outbox.poke();
    window.addEventListener('online', poke);
    document.addEventListener('visibilitychange', poke);
    const back = reach.whenBack(() => {
      outbox.poke();
      void client.invalidateQueries();
    });
    return () => {
      window.removeEventListener('online', poke);
      document.removeEventListener('visibilitychange', poke);
      back();
    };
  }, [client]);
  useEffect(() => {
    if (signIn) {
      void client.invalidateQueries({ queryKey: ['session'] });
    }
  }, [client, signIn]);
}
