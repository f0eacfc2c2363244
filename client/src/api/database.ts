import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Outgoing } from './outbox';

/** An answer of the server as it is kept for when it is out of reach. */
export interface KeptAnswer {
  hash: string;
  key: readonly unknown[];
  data: unknown;
  /** When it was answered, in milliseconds. */
  at: number;
}

interface LanternSchema extends DBSchema {
  outbox: { key: number; value: Outgoing };
  answers: { key: string; value: KeptAnswer };
}

export type LanternDatabase = IDBPDatabase<LanternSchema>;

let opened: Promise<LanternDatabase> | null = null;

/** The browser's database of this room; fails where the browser has none, or forbids it. */
export const database = (): Promise<LanternDatabase> =>
  (opened ??= openDB<LanternSchema>('hushed-lantern', 2, {
    upgrade: (fresh, from) => {
      if (from < 1) {
        fresh.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true });
      }
      if (from < 2) {
        fresh.createObjectStore('answers', { keyPath: 'hash' });
      }
    },
  }));
