import { describe, expect, it } from 'vitest';
import { line, round } from '../../testing/samples';
import { byShelf } from './shelves';
import { byWord, canBatch } from './together';

describe('what goes together', () => {
  const watered = { word: 'Watered', acts: [{ kind: 'watered', water: 'dish' } as const] };
  const fed = { word: 'Fed as offered', acts: [] };
  const lines = [
    line({ stockId: '1', together: watered }),
    line({ stockId: '2', together: fed }),
    line({ stockId: '3', together: fed }),
    line({ stockId: '4', together: null }),
  ];

  it('is what the server says by one word, most of them first', () => {
    expect(byWord(lines).map((kind) => [kind.word, kind.lines.map((l) => l.stockId)])).toEqual([
      ['Fed as offered', ['2', '3']],
      ['Watered', ['1']],
    ]);
  });

  it('is worth one go for two at least', () => {
    expect(canBatch(lines)).toBe(true);
    expect(canBatch(lines.slice(0, 2))).toBe(false);
    expect(canBatch([])).toBe(false);
  });
});

describe('byShelf', () => {
  it('puts leftovers before the first shelf', () => {
    const shelves = byShelf({
      ...round,
      lines: [
        ...round.lines,
        line({ stockId: '9', place: 'A2·02', act: 'removeLeftovers', section: 'first' }),
      ],
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
      section: 'later',
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
