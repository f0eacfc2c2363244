import { database } from './database';
import type { Outgoing, OutboxStore } from './outbox';

const table = 'outbox';

/** Keeps what is to be written in the browser's database, until the server has it. */
export async function openOutboxStore(): Promise<OutboxStore> {
  const db = await database();
  return {
    all: () => db.getAll(table),
    // Its number is given by the database.
    add: (item) => db.add(table, item as Outgoing),
    put: async (item) => {
      // What another page has written or given up meanwhile stays gone.
      const change = db.transaction(table, 'readwrite');
      if ((await change.store.getKey(item.seq)) !== undefined) {
        await change.store.put(item);
      }
      await change.done;
    },
    remove: (seq) => db.delete(table, seq),
  };
}

/** Keeps it as long as the page lasts. */
export function memoryStore(first: readonly Outgoing[] = []): OutboxStore {
  const kept = new Map(first.map((item) => [item.seq, item]));
  let last = Math.max(0, ...kept.keys());
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

/**
 * Keeps it as well as it can: where the browser forbids its database, is full or loses it in mid-use, what waits lasts as
 * long as the page, and whoever looks is told so.
 * @param open Opens the browser's database; asked for at the first use.
 * @param listed What waits on this page.
 * @param lost Called once, when nothing more is kept.
 */
export function carefulStore(
  open: () => Promise<OutboxStore>,
  listed: () => readonly Outgoing[],
  lost: () => void,
): OutboxStore {
  let opened: Promise<OutboxStore> | null = null;
  let fallen: OutboxStore | null = null;
  const attempt = async <T>(act: (store: OutboxStore) => Promise<T>): Promise<T> => {
    if (fallen === null) {
      try {
        opened ??= open();
        return await act(await opened);
      } catch {
        fallen = memoryStore(listed());
        lost();
      }
    }
    return await act(fallen);
  };
  return {
    all: () => attempt((store) => store.all()),
    add: (item) => attempt((store) => store.add(item)),
    put: (item) => attempt((store) => store.put(item)),
    remove: (seq) => attempt((store) => store.remove(seq)),
  };
}
