import { describe, expect, it } from 'vitest';
import type { RoundLine } from '../../api/client';
import { line, round } from '../../testing/samples';
import { batchChoice, primaryChoices, refusals } from './lineActs';
import { byShelf, goOnFrom } from './shelves';

const eaten: RoundLine['choices'][number]['acts'][number] = {
  kind: 'offered',
  feederId: 'cricket',
  sizeClassId: 'small',
  count: 2,
  preparation: 'preKilled',
  outcome: 'eaten',
  leftIn: null,
  untaken: null,
};

const visit: RoundLine['choices'] = [
  {
    key: 'f',
    label: 'Watered and fed',
    brief: 'Fed',
    acts: [{ kind: 'watered', water: 'dish' }, eaten],
    isRefusal: false,
  },
  {
    key: 'w',
    label: 'Water only',
    brief: 'Water',
    acts: [{ kind: 'watered', water: 'dish' }],
    isRefusal: false,
  },
  {
    key: '1',
    label: 'Batted it away',
    brief: 'Batted',
    acts: [{ ...eaten, outcome: 'battedAway' }],
    isRefusal: true,
  },
];

describe('what a line offers', () => {
  const fed = line({ choices: visit });

  it('is what the server says: the obvious first, refusals apart', () => {
    expect(primaryChoices(fed).map((c) => c.key)).toEqual(['f', 'w']);
    expect(refusals(fed).map((c) => c.key)).toEqual(['1']);
  });

  it('of a visit is water first, then food', () =>
    expect(primaryChoices(fed)[0]?.acts.map((act) => act.kind)).toEqual(['watered', 'offered']));

  it('for a whole shelf is its food or its water', () => {
    expect(batchChoice(fed, 'feed')?.key).toBe('f');
    expect(batchChoice(fed, 'water')?.key).toBe('w');
    expect(batchChoice(line({}), 'feed')).toBeUndefined();
  });
});

describe('byShelf', () => {
  it('puts leftovers before the first shelf', () => {
    const shelves = byShelf({
      ...round,
      lines: [...round.lines, line({ stockId: '9', place: 'A2·02', act: 'removeLeftovers' })],
    });
    expect(shelves[0]?.code).toBe('Out first');
    expect(shelves[0]?.rows.map((r) => r.place)).toEqual(['A2·02']);
  });

  it('puts what comes out at an hour still to come behind the last shelf', () => {
    const late = line({
      stockId: '9',
      place: 'B1·02',
      act: 'removeLeftovers',
      outAt: '2026-11-24T00:30:00Z',
    });
    const shelves = byShelf({ ...round, lines: [...round.lines, late] });
    expect(shelves.at(-1)?.code).toBe('Later');
    expect(shelves.at(-1)?.rows.map((r) => r.place)).toEqual(['B1·02']);
  });

  it('walks in the order of the server, with what is done in its place and the hushed apart', () => {
    const shelves = byShelf(round);
    expect(shelves.map((s) => s.code)).toEqual(['B1', 'A1', 'A2']);
    expect(shelves[1]?.rows.map((r) => [r.kind, r.place])).toEqual([
      ['done', 'A1·02'],
      ['due', 'A1·04'],
    ]);
    expect(shelves[1]?.passBy.map((l) => l.place)).toEqual(['A1·05']);
    expect(shelves[0]?.resting).toBe(1);
  });
});

describe('goOnFrom', () => {
  const due = round.lines.filter((l) => l.state === 'due');
  const left = (place: string) => ({ place, name: '', at: '2026-11-23T20:00:00Z' });

  it('begins at the first line when nothing was done', () => expect(goOnFrom(round, due)).toBe(0));

  it('goes on behind the enclosure at which the round was left', () => {
    expect(goOnFrom({ ...round, left: left('A1·02') }, due)).toBe(0);
    expect(goOnFrom({ ...round, left: left('A1·05') }, due)).toBe(1);
  });

  it('begins again from the first line that is left when the walk was at its end', () =>
    expect(goOnFrom({ ...round, left: left('A2·07') }, due)).toBe(0));

  it('never walks past leftovers', () => {
    const first = [line({ stockId: '9', place: 'A2·02', act: 'removeLeftovers' }), ...due];
    expect(goOnFrom({ ...round, left: left('A1·05') }, first)).toBe(0);
  });
});
