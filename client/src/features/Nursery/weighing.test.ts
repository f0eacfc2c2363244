import { describe, expect, it } from 'vitest';
import type { Refusal } from '../../api/client';
import { weighBrood } from './weighing';

describe('weights of a brood', () => {
  it.each([
    ['1840', '', '1', 'samples'],
    ['1840', '20', '1', 'samples'],
    ['1840', 'many 150', '1', 'samples'],
    ['1840', '2.5 150', '1', 'samples'],
    ['', '20 150', '1', 'totalMg'],
    ['heavy', '20 150', '1', 'totalMg'],
    ['1840', '20 150', 'fine', 'scaleMg'],
  ])('%s, %s, %s are refused at %s', async (total, parts, scale, field) => {
    await expect(weighBrood(total, parts, scale)).rejects.toSatisfy(
      (refusal: Refusal) => refusal.for(field) !== undefined,
    );
  });
});
