import { describe, expect, it } from 'vitest';
import { inParts } from './parts';

describe('lines in parts', () => {
  it('are all there in their order, none of the parts too long', () => {
    for (const count of [0, 1, 39, 40, 41, 200, 203]) {
      const lines = Array.from({ length: count }, (_, k) => k);
      const parts = inParts(lines);
      expect(parts.flat()).toEqual(lines);
      expect(Math.max(0, ...parts.map((p) => p.length))).toBeLessThanOrEqual(40);
      expect(parts.every((p) => p.length > 0)).toBe(true);
    }
  });
});
