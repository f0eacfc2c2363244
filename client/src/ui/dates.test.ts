import { describe, expect, it } from 'vitest';
import { dateRange, dayDate, fromDays, longDate, monthName, shortDate, toDays } from './dates';

describe('nights', () => {
  it('count by days of the calendar, leap days and summer time included', () => {
    expect(toDays('2028-03-01') - toDays('2028-02-28')).toBe(2);
    expect(toDays('2027-03-01') - toDays('2027-02-28')).toBe(1);
    expect(toDays('2026-03-30') - toDays('2026-03-29')).toBe(1);
    expect(toDays('2026-10-26') - toDays('2026-10-25')).toBe(1);
  });

  it('come back from their number, whatever it is', () => {
    for (let day = toDays('1999-12-25'); day < toDays('2032-01-05'); day += 13) {
      expect(toDays(fromDays(day))).toBe(day);
    }
  });

  it('carry their year whenever it is not tonight’s', () => {
    expect(shortDate('2026-11-23', '2026-11-23')).toBe('23 Nov');
    expect(shortDate('2027-02-03', '2026-11-23')).toBe('3 Feb 2027');
    expect(shortDate('2025-11-23', '2026-11-23')).toBe('23 Nov 2025');
    expect(dayDate('2025-05-10', '2026-11-23')).toBe('Sat 10 May 2025');
  });

  it('carry both years in a range where either is not tonight’s', () => {
    expect(dateRange('2026-11-05', '2026-12-18', '2026-11-23')).toBe('5 Nov – 18 Dec');
    expect(dateRange('2026-12-05', '2027-01-18', '2026-11-23')).toBe('5 Dec 2026 – 18 Jan 2027');
    expect(dateRange('2028-01-10', '2028-02-08', '2026-11-23')).toBe('10 Jan 2028 – 8 Feb 2028');
  });

  it('are written with their weekday', () => {
    // A Monday: ISO 8601 week 48 of 2026 begins with it.
    expect(dayDate('2026-11-23', '2026-11-23')).toBe('Mon 23 Nov');
    expect(longDate('2026-11-23', '2026-11-23')).toBe('Monday 23 November');
    expect(monthName('2026-09-01')).toBe('Sep');
  });
});
