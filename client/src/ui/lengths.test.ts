import { describe, expect, it } from 'vitest';
import { fromDays, shortDate, toDays } from './dates';
import { fromMm, toMm } from './lengths';

describe('lengths', () => {
  // Source: 1 in = 25.4 mm exactly, NIST SP 811 appendix B.
  it.each([
    ['1', 'in', 25.4],
    ['4,5', 'cm', 45],
    [' 60 ', 'mm', 60],
    ['6 cm', 'mm', 60],
    ['2in', 'mm', 50.8],
    ['2"', 'cm', 50.8],
  ] as const)('reads %s %s as %d mm', (text, unit, mm) => expect(toMm(text, unit)).toBe(mm));

  it.each(['', 'wide', '1 2', '5 ft', '-3'])('does not read “%s”', (text) =>
    expect(toMm(text, 'mm')).toBeNaN(),
  );

  it('shows what was typed again', () => {
    for (const [text, unit] of [
      ['2.25', 'in'],
      ['4.5', 'cm'],
      ['14.6', 'mm'],
    ] as const) {
      expect(fromMm(toMm(text, unit), unit)).toBe(text);
    }
  });
});

describe('nights', () => {
  it('are calendar dates, whatever the zone of the browser', () => {
    expect(fromDays(toDays('2026-03-29') + 1)).toBe('2026-03-30');
    expect(shortDate('2026-09-04')).toBe('4 Sep');
  });
});
