import { createContext, use } from 'react';
import type { Act } from '../../api/client';

/** What was logged in one go, for the ten seconds in which one key takes it back. */
export interface Done {
  text: string;
  entries: readonly { stockId: string; entryId: string; act: Act }[];
}

export interface LogOptions {
  /** What it is, in a few words, until the server has put it into its own. */
  label: string;
  /** Whether a refusal is shown at its fields by the one who asks; else it is set aside. */
  shows?: boolean;
  /** Whether it may be pressed while the last is being written, as what is seen of a pairing is; else that counts as a double tap. */
  often?: boolean;
  foundOn?: string | null;
  lastSeenBefore?: string | null;
  corrects?: string | null;
}

export interface DoneControl {
  /** Logs an act and offers to take it back. Resolves when it is written, or waits for the server; throws what was refused. */
  log: (stockId: string, name: string, act: Act, options: LogOptions) => Promise<void>;
  /** Logs from a button: a refusal is shown in the bar instead of thrown. Acts of one visit are written all or none. */
  quick: (stockId: string, name: string, acts: Act | readonly Act[], options: LogOptions) => void;
  /** Logs acts at many enclosures, all or none. Tells whether they were written. */
  logMany: (
    acts: readonly { stockId: string; act: Act }[],
    text: string,
    night?: string | null,
  ) => Promise<boolean>;
  /** Whether an entry was written by this page. */
  isOwn: (entryId: string) => boolean;
  /** Says what was done in one go and offers for ten seconds to take it back as one. */
  offerUndo: (text: string, takeBack: () => void) => void;
  /** Says something in the bar that happened elsewhere. */
  tell: (text: string) => void;
  undo: () => void;
  busy: boolean;
  /** Whether something of an animal is being written just now. */
  isBusy: (stockId: string) => boolean;
}

export const DoneContext = createContext<DoneControl | null>(null);

export function useDone(): DoneControl {
  const control = use(DoneContext);
  if (control === null) {
    throw new Error('The undo bar is not on this page.');
  }
  return control;
}
