import type { RoundLine, RoundView, Schemas } from '../../api/client';

type Done = Schemas['DoneLine'];
type Resting = Schemas['RestingLine'];

/** One line to walk to. */
export type WalkRow =
  { kind: 'due'; place: string; line: RoundLine } | { kind: 'done'; place: string; done: Done };

export interface Shelf {
  code: string;
  rows: WalkRow[];
  passBy: RoundLine[];
  resting: Resting[];
}

/** Shelf part of a place code: `A1·03` stands on `A1`. */
export const shelfOf = (place: string): string => place.split('·')[0] ?? place;

/** Rack by letter (A before AA), shelf and slot by number. */
export function comparePlaces(a: string, b: string): number {
  const parts = (place: string) => /^([A-Z]+)(\d+)·(\d+)$/.exec(place);
  const [x, y] = [parts(a), parts(b)];
  if (x === null || y === null) {
    return a.localeCompare(b);
  }
  return (
    (x[1] ?? '').length - (y[1] ?? '').length ||
    (x[1] ?? '').localeCompare(y[1] ?? '') ||
    Number(x[2]) - Number(y[2]) ||
    Number(x[3]) - Number(y[3])
  );
}

/** What must come out before anything else is walked to. */
export const leftoversFirst = 'Out first';

/** The round by shelf, in walking order; leftovers stand before the first shelf. */
export function byShelf(round: RoundView): Shelf[] {
  const shelves = new Map<string, Shelf>();
  const at = (place: string): Shelf => {
    const code = shelfOf(place);
    const shelf = shelves.get(code) ?? { code, rows: [], passBy: [], resting: [] };
    shelves.set(code, shelf);
    return shelf;
  };
  const first: Shelf = { code: leftoversFirst, rows: [], passBy: [], resting: [] };
  for (const line of round.lines) {
    if (line.state === 'due') {
      (line.act === 'removeLeftovers' ? first : at(line.place)).rows.push({
        kind: 'due',
        place: line.place,
        line,
      });
    } else {
      at(line.place).passBy.push(line);
    }
  }
  round.done.forEach((done) => at(done.place).rows.push({ kind: 'done', place: done.place, done }));
  round.resting.forEach((resting) => at(resting.place).resting.push(resting));
  for (const shelf of shelves.values()) {
    shelf.rows.sort((a, b) => comparePlaces(a.place, b.place));
  }
  first.rows.sort((a, b) => comparePlaces(a.place, b.place));
  const walk = [...shelves.values()].sort((a, b) => comparePlaces(`${a.code}·1`, `${b.code}·1`));
  return first.rows.length > 0 ? [first, ...walk] : walk;
}
