import type { Schemas } from '../../api/client';

/** A figure to a tenth, as it is read off. */
export const tenth = (value: number): string => value.toFixed(1).replace('-', '−');

/** "the whole room", "A1", or that it hangs nowhere. */
export const zoneWord = (zone: string | null): string =>
  zone === null ? 'hangs nowhere yet' : zone === '' ? 'the whole room' : zone;

/** How long ago, in a word or two. */
export function agoWord(at: string | null, now: string): string {
  if (at === null) {
    return 'never heard';
  }
  const minutes = Math.max(0, Math.round((Date.parse(now) - Date.parse(at)) / 60_000));
  return minutes < 2
    ? 'just now'
    : minutes < 100
      ? `${minutes} min ago`
      : minutes < 48 * 60
        ? `${Math.round(minutes / 60)} h ago`
        : `${Math.round(minutes / 1440)} days ago`;
}

/** Whether it is about the sensor and not the air. */
export const isOfSensor = (alarm: Schemas['ClimateAlarm']): boolean =>
  alarm.kind === 'silent' || alarm.kind === 'stuck' || alarm.kind === 'drifted';

/** How an alarm stands, in words. */
export function stateWord(alarm: Schemas['ClimateAlarm']): string {
  switch (alarm.state) {
    case 'open':
      return alarm.isDanger ? 'danger' : 'new';
    case 'saidAgain':
      return 'goes on';
    case 'seen':
      return `seen by ${alarm.answeredBy ?? 'somebody'}`;
    case 'snoozed':
      return 'silent for now';
  }
}

export const isLoud = (alarm: Schemas['ClimateAlarm']): boolean =>
  alarm.state === 'open' || alarm.state === 'saidAgain';

/** Whether a sensor lies below or above what suits all that it watches; none where it does not. */
export function offWord(sensor: Schemas['SensorView']): string | null {
  if (sensor.celsius === null || sensor.goodC === null) {
    return null;
  }
  return sensor.celsius < sensor.goodC.low
    ? `cooler than ${sensor.goodC.low}–${sensor.goodC.high} °C`
    : sensor.celsius > sensor.goodC.high
      ? `warmer than ${sensor.goodC.low}–${sensor.goodC.high} °C`
      : null;
}
