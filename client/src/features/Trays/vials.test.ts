import { describe, expect, it } from 'vitest';
import { parseVials } from './vials';

describe('numbers of vials', () => {
  it.each([
    ['', []],
    ['7', [7]],
    ['12, 7', [7, 12]],
    ['40-44 7;7', [7, 40, 41, 42, 43, 44]],
    ['9-3, x, 5', [5]],
  ])('%s', (text, numbers) => {
    expect(parseVials(text)).toEqual(numbers);
  });
});
