import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { freeOrTaken, placesOf } from './carrying';

const shelf = (code: string, taken: number[], free: number[]): Schemas['ShelfView'] => ({
  code,
  layout: null,
  walked: 1,
  slots: taken.map((slot) => ({
    stockId: `${code}${slot}`,
    place: `${code}·${String(slot).padStart(2, '0')}`,
    name: '',
    species: '',
    phaseWord: 'open',
    shutters: 0,
    due: false,
    enclosure: null,
    fit: 'unknown',
    fitText: '',
    hazard: null,
    quarantine: null,
  })),
  free,
  tooTall: [],
  overfull: false,
});

const view: Schemas['ShelvesView'] = {
  tonight: '2026-11-23',
  version: 1,
  layout: { racks: [], walk: [] },
  racks: [
    { rack: 'A', area: '', shelves: [shelf('A1', [1, 3], [2]), shelf('A2', [1], [])] },
    { rack: 'B', area: '', shelves: [shelf('B1', [], [1, 2])] },
  ],
  misplaced: [],
  sizes: [],
};

describe('places of a shelf', () => {
  it('are taken and free ones in order', () =>
    expect(placesOf(shelf('A1', [3, 1], [2]))).toEqual(['A1·01', 'A1·02', 'A1·03']));
});

describe('an enclosure in hand', () => {
  it.each([
    ['A1·01', 1, 0, 'A1·02'],
    ['A1·03', 1, 0, 'A1·03'],
    ['A1·03', 0, 1, 'A2·01'],
    ['A2·01', 0, 1, 'B1·01'],
    ['B1·02', 0, 1, 'B1·02'],
    ['A1·01', 0, -1, 'A1·01'],
  ] as const)('goes from %s by %d places and %d shelves to %s', (from, columns, rows, to) =>
    expect(freeOrTaken(view, from, columns, rows)).toBe(to),
  );
});
