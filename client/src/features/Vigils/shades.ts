import { toDays } from '../../ui/dates';

/** A stretch of nights in which one in twenty such waits ends. */
export interface Shade {
  /** First day, counted like all days of drawings. */
  from: number;
  to: number;
  /** How thickly the ends lie there, 1 where they lie thickest. */
  strength: number;
  /** How many of twenty have ended at its end. */
  ended: number;
}

/**
 * The forecast as stretches of nights: equal shares, so the shorter one is, the likelier are its nights. Twentieths that fall
 * on one night lie on it together.
 */
export function shades(twentieths: readonly string[]): Shade[] {
  const days = twentieths.map(toDays);
  const stretches: Omit<Shade, 'strength'>[] = [];
  for (let k = 1; k < days.length; k++) {
    const [from, to] = [days[k - 1] ?? 0, days[k] ?? 0];
    const before = stretches.at(-1);
    if (to > from || before === undefined) {
      stretches.push({ from, to: Math.max(to, from + 1), ended: k + 1 });
    } else {
      before.ended = k + 1;
    }
  }
  const density = stretches.map(
    ({ from, to, ended }, k) => (ended - (stretches[k - 1]?.ended ?? 1)) / (to - from),
  );
  const most = Math.max(...density);
  return stretches.map((stretch, k) => ({ ...stretch, strength: (density[k] ?? 0) / most }));
}
