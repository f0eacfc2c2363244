/** Nights are calendar dates (`2026-11-23`); these helpers never touch the browser's own time zone. */

const dayMs = 86_400_000;

export const toDays = (night: string): number => Date.parse(`${night}T00:00:00Z`) / dayMs;

export const fromDays = (days: number): string => new Date(days * dayMs).toISOString().slice(0, 10);

const short = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const weekday = new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' });
const long = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
});
const month = new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' });

const asDate = (night: string) => new Date(`${night}T00:00:00Z`);

/** "23 Nov". */
export const shortDate = (night: string): string => short.format(asDate(night));

/** "Mon 23 Nov". */
export const dayDate = (night: string): string => `${weekday.format(asDate(night))} ${shortDate(night)}`;

/** "Monday 23 November". */
export const longDate = (night: string): string => long.format(asDate(night)).replace(',', '');

/** "Nov". */
export const monthName = (night: string): string => month.format(asDate(night));

/** Local clock time of an instant, "21:14". */
export const clockTime = (instant: string): string =>
  new Date(instant).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
