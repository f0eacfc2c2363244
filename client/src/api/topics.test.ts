import { QueryClient } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import { followersOf, topicChanged, type Topic } from './topics';

// Every feature says what its queries follow as it is loaded.
const features = import.meta.glob('../features/*/queries.ts', { eager: true });

describe('what follows a change', () => {
  it('is said by every feature', () => expect(Object.keys(features).length).toBeGreaterThan(12));

  it.each<[Topic, string[]]>([
    [
      'journal',
      [
        'round',
        'animal',
        'stock',
        'shelves',
        'nightline',
        'night',
        'almanac',
        'larder',
        'honesty',
        'lessons',
      ],
    ],
    ['chores', ['chores', 'round', 'almanac', 'night', 'nightline']],
    ['larder', ['larder', 'larderWork', 'round', 'animal', 'almanac']],
    ['shelves', ['shelves', 'round', 'animal']],
    ['climate', ['climate', 'round', 'animal', 'lessons', 'honesty', 'nightline', 'almanac']],
    ['rules', ['rulebook', 'species', 'rule', 'feeders', 'guide', 'round', 'animal', 'larder', 'stock']],
    ['settings', ['settings', 'round', 'animal', 'rulebook', 'species', 'guide', 'chores', 'shelves']],
    ['contacts', ['contacts']],
  ])('%s: all that is worked out from it', (topic, keys) => {
    expect(followersOf(topic)).toEqual(expect.arrayContaining(keys));
  });

  it('of one animal is not the plan of the larder, which is dear', () => {
    expect(followersOf('journal')).not.toContain('larderWork');
    expect(followersOf('chores')).not.toContain('animal');
  });

  it('is asked anew, except what the answer has brought', async () => {
    const client = new QueryClient();
    const keys = [['round'], ['animal', 'a'], ['animal', 'b'], ['contacts']];
    keys.forEach((key) => client.setQueryData(key, 'then'));
    await topicChanged(client, 'journal', [['animal', 'a']]);
    expect(keys.map((key) => client.getQueryState(key)?.isInvalidated)).toEqual([true, false, true, false]);
  });
});
