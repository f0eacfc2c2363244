import { toDays } from '../../ui/dates';

/** A point in time and how thickly the ends of a wait lie there, 1 where they lie thickest. */
export interface Shade {
  day: number;
  strength: number;
}

/** The forecast as shades, one for the middle of each step of its grid. */
export function shades(grid: readonly { night: string; chance: number }[]): Shade[] {
  const steps = grid.slice(1).map((by, k) => {
    const before = grid[k] ?? by;
    const [from, to] = [toDays(before.night), toDays(by.night)];
    return { day: (from + to) / 2, density: (by.chance - before.chance) / (to - from) };
  });
  const most = Math.max(...steps.map(({ density }) => density));
  return steps.map(({ day, density }) => ({ day, strength: most > 0 ? density / most : 0 }));
}
