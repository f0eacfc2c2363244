import { describe, expect, it } from 'vitest';
import type { RoundLine, RoundView, Schemas } from '../../api/client';
import { primaryActs, refusals } from './lineActs';
import { byShelf } from './shelves';

const offer: Schemas['MealOffer'] = {
  feederId: 'cricket',
  sizeClassId: 'small',
  count: 2,
  preparation: 'preKilled',
  what: '2 pre-killed small crickets',
  animals: 1,
  serving: '',
};

const line = (changed: Partial<RoundLine>): RoundLine => ({
  stockId: 'a',
  place: 'A1·03',
  name: 'Tansy',
  species: 'Tliltocatl albopilosus',
  phase: 'open',
  phaseWord: 'open',
  shutters: 0,
  state: 'due',
  act: 'feed',
  do: 'Offer 2 pre-killed small crickets',
  detail: '',
  offer,
  preyIn: null,
  vials: null,
  molt: null,
  seconds: 60,
  nextDue: null,
  why: { value: 'feed', summary: '', reasons: [] },
  ...changed,
});

describe('acts of a line', () => {
  it('feed exactly what was offered', () => {
    expect(primaryActs(line({}))[0]).toMatchObject({
      key: 'f',
      act: { kind: 'offered', feederId: 'cricket', count: 2, preparation: 'preKilled', outcome: 'eaten' },
    });
    expect(refusals(line({})).map((r) => r.act.kind === 'offered' && r.act.outcome)).toEqual([
      'battedAway',
      'fled',
      'killedAndLeft',
      'notSeen',
    ]);
  });

  it('cannot feed while the size is unknown', () => {
    expect(primaryActs(line({ offer: null }))).toEqual([]);
    expect(refusals(line({ offer: null }))).toEqual([]);
  });

  it('give water the way the line says', () => {
    expect(primaryActs(line({ act: 'water', do: 'Fill the water dish' }))[0]?.act).toEqual({
      kind: 'watered',
      water: 'dish',
    });
    expect(primaryActs(line({ act: 'water', do: 'Mist: drops to drink' }))[0]?.act).toEqual({
      kind: 'watered',
      water: 'mist',
    });
  });

  it.each([
    ['removeLeftovers', ['x']],
    ['checkFangs', ['b', 'n']],
    ['lookForMolt', []],
    ['help', ['w']],
    ['none', []],
  ] as const)('of %s have the keys %s', (act, keys) =>
    expect(primaryActs(line({ act })).map((p) => p.key)).toEqual(keys),
  );
});

describe('byShelf', () => {
  it('puts leftovers before the first shelf', () => {
    const shelves = byShelf({
      roomName: 'Room',
      night: '2026-11-23',
      progress: { done: 0, total: 2, passBy: 0, secondsLeft: 60 },
      lines: [
        line({ stockId: '1', place: 'A1·01' }),
        line({ stockId: '2', place: 'B2·02', act: 'removeLeftovers' }),
      ],
      done: [],
      resting: [],
    });
    expect(shelves.map((s) => [s.code, s.rows.map((r) => r.place)])).toEqual([
      ['Out first', ['B2·02']],
      ['A1', ['A1·01']],
    ]);
  });

  const done = (place: string): RoundView['done'][number] => ({
    stockId: place,
    place,
    name: place,
    entryId: place,
    text: 'dish filled',
    at: '2026-11-23T20:00:00Z',
  });
  const round: RoundView = {
    roomName: 'Room',
    night: '2026-11-23',
    progress: { done: 1, total: 3, passBy: 1, secondsLeft: 60 },
    lines: [
      line({ stockId: '1', place: 'A1·04' }),
      line({ stockId: '2', place: 'A1·05', state: 'passBy', act: 'none' }),
      line({ stockId: '3', place: 'A10·01' }),
      line({ stockId: '4', place: 'A2·01' }),
    ],
    done: [done('A1·02')],
    resting: [{ stockId: '9', place: 'B1·01', name: 'Moss', nextDue: null }],
  };

  it('walks shelf by shelf, with what is done in its place and the hushed apart', () => {
    const shelves = byShelf(round);
    expect(shelves.map((s) => s.code)).toEqual(['A1', 'A2', 'A10', 'B1']);
    expect(shelves[0]?.rows.map((r) => [r.kind, r.place])).toEqual([
      ['done', 'A1·02'],
      ['due', 'A1·04'],
    ]);
    expect(shelves[0]?.passBy.map((l) => l.place)).toEqual(['A1·05']);
    expect(shelves[3]?.resting).toHaveLength(1);
  });
});
