import { openDB } from 'idb';
import type { Outgoing, OutboxStore } from './outbox';

const database = 'hushed-lantern';
const table = 'outbox';

/** Keeps what is to be written in the browser's database, until the server has it. */
export async function openOutboxStore(): Promise<OutboxStore> {
  const db = await openDB(database, 1, {
    upgrade: (fresh) => fresh.createObjectStore(table, { keyPath: 'seq', autoIncrement: true }),
  });
  return {
    all: async () => (await db.getAll(table)) as Outgoing[],
    add: async (item) => Number(await db.add(table, item)),
    put: async (item) => {
      await db.put(table, item);
    },
    remove: (seq) => db.delete(table, seq),
  };
}

/** Where a browser has no database, or forbids it: what waits then lasts as long as the page. */
export function memoryStore(): OutboxStore {
  const kept = new Map<number, Outgoing>();
  let last = 0;
  return {
    all: () => Promise.resolve([...kept.values()]),
    add: (item) => {
      kept.set(++last, { ...item, seq: last });
      return Promise.resolve(last);
    },
    put: (item) => {
      kept.set(item.seq, item);
      return Promise.resolve();
    },
    remove: (seq) => {
      kept.delete(seq);
      return Promise.resolve();
    },
  };
}
