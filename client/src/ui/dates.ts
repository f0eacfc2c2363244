/** Nights are calendar dates (`2026-11-23`); these helpers never touch the browser's own time zone. */

const dayMs = 86_400_000;

export const toDays = (night: string): number => Date.parse(`${night}T00:00:00Z`) / dayMs;

export const fromDays = (days: number): string => new Date(days * dayMs).toISOString().slice(0, 10);

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const weekday = new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' });
const long = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
});

const asDate = (night: string) => new Date(`${night}T00:00:00Z`);

/** "Nov", spelled as the server spells it. */
export const monthName = (night: string): string => months[asDate(night).getUTCMonth()] ?? '';

/** Beyond this many days a date without its year is mistaken for one of this year; as the server writes dates. */
const daysThatNeedNoYear = 300;

/** "23 Nov"; "23 Nov 2028" when it is far from tonight. */
export const shortDate = (night: string, tonight = night): string =>
  `${asDate(night).getUTCDate()} ${monthName(night)}${
    Math.abs(toDays(night) - toDays(tonight)) > daysThatNeedNoYear ? ` ${night.slice(0, 4)}` : ''
  }`;

/** "Mon 23 Nov". */
export const dayDate = (night: string): string => `${weekday.format(asDate(night))} ${shortDate(night)}`;

/** "Monday 23 November". */
export const longDate = (night: string): string => long.format(asDate(night)).replace(',', '');

/** Local clock time of an instant, "21:14". */
export const clockTime = (instant: string): string =>
  new Date(instant).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
