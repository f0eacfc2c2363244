import { createContext, use } from 'react';

/** How the acts of the lit line are guarded against presses that were meant for another. */
export interface Acting {
  /** Whether a press may count now. */
  settled: () => boolean;
  /** Whether the light has only just moved here, so that no press counts yet. */
  settling: boolean;
  /** Called with every press that counts. */
  acted: () => void;
  /** Holds the round still while a finger is down. */
  hold: (down: boolean) => void;
}

export const ActingContext = createContext<Acting | null>(null);

export function useActing(): Acting {
  const acting = use(ActingContext);
  if (acting === null) {
    throw new Error('The round is not on this page.');
  }
  return acting;
}
