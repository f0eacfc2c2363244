import { createContext, useContext } from 'react';

/** As whom somebody is here. */
export type Hand = 'owner' | 'helper' | 'reader';

/** Whose hand is on the page; the frame says so for all that is in it. */
export const HandContext = createContext<Hand>('owner');

/** Whether whoever is here may write; of what only the owner changes, whether it is the owner. */
export function useMayWrite(ownersOnly = false): boolean {
  const hand = useContext(HandContext);
  return ownersOnly ? hand === 'owner' : hand !== 'reader';
}
