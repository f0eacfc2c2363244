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

/** The night that the server is at; until it has said so, the browser's date. */
let tonightNow = new Date().toISOString().slice(0, 10);

/** Takes over what the server says of tonight. */
export const setTonight = (night: string): void => {
  tonightNow = night;
};

const yearOf = (night: string) => night.slice(0, 4);

/** "Nov", spelled as the server spells it. */
export const monthName = (night: string): string => months[asDate(night).getUTCMonth()] ?? '';

const bare = (night: string) => `${asDate(night).getUTCDate()} ${monthName(night)}`;

const withYear = (night: string) => `${bare(night)} ${yearOf(night)}`;

/** "23 Nov"; "23 Nov 2028" when that is another year than tonight's. */
export const shortDate = (night: string, tonight = tonightNow): string =>
  yearOf(night) === yearOf(tonight) ? bare(night) : withYear(night);

/** "5 Mar – 18 Apr"; with both years where either is not this one. */
export const dateRange = (from: string, to: string, tonight = tonightNow, joined = ' – '): string =>
  yearOf(from) === yearOf(tonight) && yearOf(to) === yearOf(tonight)
    ? `${bare(from)}${joined}${bare(to)}`
    : `${withYear(from)}${joined}${withYear(to)}`;

/** A day of every year: "23 Nov". */
export const dayOfYear = (month: number, day: number): string => `${day} ${months[month - 1] ?? ''}`;

/** "Mon 23 Nov", with the year when it is not this one. */
export const dayDate = (night: string, tonight = tonightNow): string =>
  `${weekday.format(asDate(night))} ${shortDate(night, tonight)}`;

/** "Monday 23 November", with the year when it is not this one. */
export const longDate = (night: string, tonight = tonightNow): string =>
  `${long.format(asDate(night)).replace(',', '')}${yearOf(night) === yearOf(tonight) ? '' : ` ${yearOf(night)}`}`;

/** The calendar day of an instant on this device: "Mon 23 Nov". */
export function localDay(instant: string): string {
  const at = new Date(instant);
  const day = [at.getFullYear(), at.getMonth() + 1, at.getDate()].map((part) =>
    String(part).padStart(2, '0'),
  );
  return dayDate(day.join('-'));
}

/** The day of an instant that the server told, as the calendar of the room has it. */
export const dayOf = (told: string): string => told.slice(0, 10);

/** Clock time of an instant that the server told, "21:14", as the clock of the room shows it. */
export const clockTime = (told: string): string => told.slice(11, 16);

/** Clock time of an instant of this device, "21:14". */
export const localClock = (instant: string): string =>
  new Date(instant).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
