import { describe, expect, it } from 'vitest';
import { parseValue, partsOf } from './ruleParts';

describe('rule values', () => {
  it.each([
    ['{"low":120,"high":150}', 'range'],
    ['{"p10":30,"p50":48.5,"p90":80}', 'wait'],
    ['0.75', 'number'],
    ['true', 'yesNo'],
    ['"damp"', 'choice'],
  ] as const)('%s is taken apart and put together again', (json, form) => {
    expect(parseValue(partsOf(json), form)).toEqual(JSON.parse(json));
  });

  it('reads a comma, and says when a figure cannot be read', () => {
    expect(parseValue({ value: '2,5' }, 'number')).toBe(2.5);
    expect(parseValue({ low: '1', high: '' }, 'range')).toBeNull();
    expect(parseValue({ value: 'soon' }, 'number')).toBeNull();
  });
});
