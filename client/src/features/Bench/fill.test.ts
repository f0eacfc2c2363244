import { describe, expect, it } from 'vitest';
import { Refusal } from '../../api/client';
import { figure, optional, rows, series, words } from './fill';

describe('what is typed at the bench', () => {
  it('reads numbers with a comma or a point, and lines of them', () => {
    expect(figure({ a: ' 2,5 ' }, 'a')).toBe(2.5);
    expect(optional({ a: '' }, 'a')).toBeNull();
    expect(rows({ days: '3 11\n\n5/16\n9;21' }, 'days', 2)).toEqual([
      [3, 11],
      [5, 16],
      [9, 21],
    ]);
  });

  it('names the field and the line that cannot be read', () => {
    expect(() => figure({ a: 'warm' }, 'a')).toThrow(Refusal);
    expect(() => figure({}, 'a')).toThrow(Refusal);
    expect(() => rows({ days: '3 11\n5' }, 'days', 2)).toThrow(
      expect.objectContaining({ fields: { days: ['Line 2 must have 2 numbers.'] } }),
    );
  });

  it('reads a series over several lines, with dashes for what is not known', () => {
    expect(series({ days: '12 7,5\n- 4' }, 'days')).toEqual([12, 7.5, null, 4]);
    expect(() => series({ days: '12 cold' }, 'days')).toThrow(
      expect.objectContaining({ fields: { days: ['“cold”, number 2, cannot be read.'] } }),
    );
  });

  it('reads lines of names, and says which line has not enough of them', () => {
    expect(words({ animals: 'Pip  - Tansy\n\nFern Flint Rue' }, 'animals', 3)).toEqual([
      ['Pip', '-', 'Tansy'],
      ['Fern', 'Flint', 'Rue'],
    ]);
    expect(() => words({ animals: 'Pip Tansy' }, 'animals', 3)).toThrow(
      expect.objectContaining({
        fields: { animals: ['Line 1 must have 3 names; a dash for one not known.'] },
      }),
    );
  });
});
