import { hashKey, type QueryClient, type QueryKey } from '@tanstack/react-query';
import type { Schemas } from './client';
import type { Outgoing } from './outbox';

/** What was written, here or elsewhere. */
export type Topic = Schemas['LiveTopic'];

interface Follower {
  topics: ReadonlySet<Topic>;
  isFirst: boolean;
}

const followers = new Map<string, Follower>();

/**
 * Says which topics a feature's queries follow, by the first word of their keys. Told once, beside the queries.
 * @param first Whether whoever wrote waits for it, so that the next key finds what is shown now; the others follow when they can.
 */
export function follows(key: string, topics: readonly Topic[], first: 'first' | 'later' = 'later'): void {
  followers.set(key, { topics: new Set(topics), isFirst: first === 'first' });
}

/** Keys that follow a topic, what is waited for last. */
export const followersOf = (topic: Topic): string[] =>
  [...followers]
    .filter(([, follower]) => follower.topics.has(topic))
    .sort(([, a], [, b]) => Number(a.isFirst) - Number(b.isFirst))
    .map(([key]) => key);

type Keeper = (client: QueryClient, item: Outgoing, answer: unknown) => QueryKey[];

const keepers = new Map<Topic, Keeper>();

/** Says what a feature takes over from the answer to a write; it gives back the keys that are up to date by that. */
export function keepsAnswer(topic: Topic, keeper: Keeper): void {
  keepers.set(topic, keeper);
}

/** Asks anew for what follows a topic; resolves once what is shown first has come. */
export async function topicChanged(
  client: QueryClient,
  topic: Topic,
  kept: readonly QueryKey[] = [],
): Promise<void> {
  if (topic === 'anything') {
    await client.invalidateQueries();
    return;
  }
  const upToDate = new Set(kept.map((key) => hashKey(key)));
  const awaited: Promise<void>[] = [];
  for (const key of followersOf(topic)) {
    const asked = client.invalidateQueries({
      queryKey: [key],
      predicate: (query) => !upToDate.has(query.queryHash),
    });
    if (followers.get(key)?.isFirst === true) {
      awaited.push(asked);
    }
  }
  await Promise.all(awaited);
}

/** Shows what was written: what its answer brought, and what follows from it. */
export function written(client: QueryClient, item: Outgoing, answer: unknown): Promise<void> {
  const kept = keepers.get(item.topic)?.(client, item, answer) ?? [];
  return topicChanged(client, item.topic, kept);
}
