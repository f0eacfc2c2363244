import { describe, expect, it } from 'vitest';
import { Refusal } from '../../api/client';
import { figure, optional, rows } from './fill';

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
});
