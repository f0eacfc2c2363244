import type { Query, QueryClient } from '@tanstack/react-query';
import { database } from './database';
import { queryClient } from './queryClient';
import { reach } from './reach';

/** What is kept on the device, so that the room opens and takes entries without the server. */
const keptAlways = new Set([
  'session',
  'round',
  'nightline',
  'settings',
  'rulebook',
  'feeders',
  'chores',
  'sit',
  'run',
]);

/** Pages of animals that were looked at last. */
const mostAnimals = 60;

/** After so long without an answer the page shows what is kept. */
const patienceMs = 3000;

const isAnimalPage = (key: readonly unknown[]) => key[0] === 'animal' && key.length === 2;

const isKept = (key: readonly unknown[]) => keptAlways.has(String(key[0])) && key.length <= 2;

/** Keeps what the server answers, and brings it back when there is no answer. */
export class Keeping {
  constructor(private readonly client: QueryClient) {}

  /** Begins to keep, and brings back what is kept if the server is not heard of soon. */
  start(): void {
    this.client.getQueryCache().subscribe((event) => {
      if (event.type === 'updated' && event.action.type === 'success') {
        const query = event.query as Query;
        if (isKept(query.queryKey) || isAnimalPage(query.queryKey)) {
          void this.keep({
            hash: query.queryHash,
            key: query.queryKey,
            data: query.state.data,
            at: query.state.dataUpdatedAt,
          });
        }
      }
    });
    let wasSilent = false;
    reach.subscribe(() => {
      const isSilent = reach.state().silentSince !== null;
      if (isSilent && !wasSilent) {
        void this.bringBack();
      }
      wasSilent = isSilent;
    });
    setTimeout(() => {
      if (reach.state().heardAt === null) {
        reach.silent();
      }
    }, patienceMs);
  }

  async keep(answer: { hash: string; key: readonly unknown[]; data: unknown; at: number }): Promise<void> {
    try {
      const db = await database();
      await db.put('answers', answer);
      if (isAnimalPage(answer.key)) {
        const pages = (await db.getAll('answers')).filter((a) => isAnimalPage(a.key));
        const old = pages.sort((a, b) => b.at - a.at).slice(mostAnimals);
        await Promise.all(old.map((a) => db.delete('answers', a.hash)));
      }
      // eslint-disable-next-line no-restricted-syntax -- what cannot be kept is only missing out of reach, where that is seen
    } catch {
      return;
    }
  }

  /** Shows what is kept of whatever has no answer yet, as old as it is. */
  async bringBack(): Promise<void> {
    try {
      const answers = await (await database()).getAll('answers');
      for (const { key, data, at } of answers) {
        if (this.client.getQueryData(key) === undefined) {
          this.client.setQueryData(key, data, { updatedAt: at });
        }
      }
      const newest = Math.max(0, ...answers.map((a) => a.at));
      if (newest > 0) {
        reach.heardBefore(new Date(newest));
      }
      // eslint-disable-next-line no-restricted-syntax -- then there is nothing to show, and the page says that the server is away
    } catch {
      return;
    }
  }

  /** Leaves nothing of the room on the device. */
  async forget(): Promise<void> {
    const db = await database();
    await db.clear('answers');
  }
}

export const keeping = new Keeping(queryClient);
