import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { bandsBy } from './almanacGroups';

type Band = Schemas['AlmanacBand'];

const band = (changed: Partial<Band>): Band => ({
  key: 'k',
  kind: 'molt',
  stockId: 'a',
  shelf: 'A1',
  who: 'A1·03 Tansy',
  label: 'molts',
  from: '2026-11-25',
  likely: '2026-12-01',
  to: '2026-12-09',
  hushed: false,
  ...changed,
});

const titles = (bands: Band[], by: 'shelf' | 'kind') => bandsBy(bands, by).map((g) => g.title);

describe('bands of the almanac', () => {
  it('stand in the order in which shelves are walked, the room before them', () => {
    const shelves = ['AA1', 'B2', 'B10', 'A1', ''].map((shelf) => band({ shelf, who: shelf }));
    expect(titles(shelves, 'shelf')).toEqual(['The room', 'A1', 'B2', 'B10', 'AA1']);
  });

  it('share a row with the other bands of the same animal', () => {
    const groups = bandsBy(
      [band({}), band({ kind: 'firstMeal' }), band({ stockId: 'b', who: 'B' })],
      'shelf',
    );
    expect(groups).toHaveLength(1);
    expect(groups[0]?.rows.map((r) => r.bands.length)).toEqual([2, 1]);
  });

  it('part by kind, molts first, whatever order they come in', () => {
    const kinds = (['booking', 'chore', 'wait', 'firstMeal', 'molt'] as const).map((kind) => band({ kind }));
    expect(titles(kinds, 'kind')).toEqual([
      'Molts',
      'First meals after a molt',
      'Buried, pupae, founding, brooding',
      'Chores',
      'Gear booked',
    ]);
  });

  it('keep chores of one name apart from an animal of that name', () => {
    const rows = bandsBy(
      [band({ stockId: null, who: 'Wipe' }), band({ stockId: 'w', who: 'Wipe' })],
      'shelf',
    )[0]?.rows;
    expect(rows?.map((r) => r.stockId)).toEqual([null, 'w']);
  });

  it('of nothing are nothing', () => {
    expect(bandsBy([], 'kind')).toEqual([]);
  });
});
