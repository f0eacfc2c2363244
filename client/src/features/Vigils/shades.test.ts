import { describe, expect, it } from 'vitest';
import { toDays } from '../../ui/dates';
import { shades } from './shades';

const by = (day: number, chance: number) => ({ night: `2026-11-${String(day).padStart(2, '0')}`, chance });

describe('shades', () => {
  it('are as strong as the chance that ends in each step, beside the strongest', () => {
    const strengths = shades([by(1, 0), by(3, 0.2), by(5, 0.6), by(7, 0.7)]).map((s) => s.strength);
    expect(strengths[0]).toBeCloseTo(0.5);
    expect(strengths[1]).toBe(1);
    expect(strengths[2]).toBeCloseTo(0.25);
  });

  it('stand in the middle of their step', () => {
    const [first] = shades([by(1, 0), by(3, 0.2)]);
    expect(first?.day).toBe(toDays('2026-11-02'));
  });

  it('are none where nothing ends', () => {
    expect(shades([by(1, 0), by(2, 0)])[0]?.strength).toBe(0);
  });
});
