import { describe, expect, it } from 'vitest';
import { shades } from './shades';

const nights = (...days: number[]) => days.map((d) => `2026-11-${String(d).padStart(2, '0')}`);

describe('shades', () => {
  it('are thickest where the twentieths lie closest, and thin out in proportion', () => {
    const [first, second, third] = shades(nights(1, 5, 7, 15));
    expect([first?.strength, second?.strength, third?.strength]).toEqual([0.5, 1, 0.25]);
    expect([first?.ended, second?.ended, third?.ended]).toEqual([2, 3, 4]);
  });

  it('lie beside each other from the first night to the last', () => {
    const all = shades(nights(1, 2, 4, 4, 9, 20));
    all.slice(1).forEach((shade, k) => expect(shade.from).toBe(all[k]?.to));
    expect(all.at(-1)?.ended).toBe(6);
  });

  it('lay twentieths that fall on one night together', () => {
    const [first, second] = shades(nights(1, 2, 2, 3));
    expect(first).toMatchObject({ ended: 3, strength: 1 });
    expect(second).toMatchObject({ ended: 4, strength: 0.5 });
  });

  it('show something when all fall on one night', () => {
    expect(shades(nights(3, 3, 3))).toHaveLength(1);
  });
});
