import { describe, expect, it } from 'vitest';
import { agoWord, offWord, tenth } from './airWords';

const now = '2026-11-28T21:00:00Z';

describe('what a sensor is said to have said', () => {
  it('tells minutes, hours and days', () => {
    expect(agoWord('2026-11-28T20:59:30Z', now)).toBe('just now');
    expect(agoWord('2026-11-28T20:15:00Z', now)).toBe('45 min ago');
    expect(agoWord('2026-11-28T16:00:00Z', now)).toBe('5 h ago');
    expect(agoWord('2026-11-20T21:00:00Z', now)).toBe('8 days ago');
    expect(agoWord(null, now)).toBe('never heard');
  });

  it('writes a minus as a minus', () => {
    expect(tenth(-2)).toBe('−2.0');
  });

  it('says when it is outside what suits all', () => {
    const sensor = { celsius: 29.4, goodC: { low: 22, high: 28 } } as Parameters<typeof offWord>[0];
    expect(offWord(sensor)).toBe('warmer than 22–28 °C');
    expect(offWord({ ...sensor, celsius: 25 })).toBeNull();
    expect(offWord({ ...sensor, goodC: null })).toBeNull();
  });
});
