import type { RoundLine, RoundView, Schemas } from '../../api/client';

type Done = Schemas['DoneLine'];

/** One line to walk to. */
export type WalkRow =
  | { kind: 'due'; place: string; line: RoundLine }
  | { kind: 'waiting'; place: string; line: RoundLine; text: string }
  | { kind: 'done'; place: string; done: Done };

export interface Shelf {
  code: string;
  quarantine: boolean;
  note: string;
  rows: WalkRow[];
  passBy: RoundLine[];
  /** How many enclosures need nothing tonight; they are named when asked for. */
  resting: number;
}

/** Shelf part of a place code: `A1·03` stands on `A1`. */
export const shelfOf = (place: string): string => place.split('·')[0] ?? place;

const slotOf = (place: string): number => Number(place.split('·')[1] ?? 0);

/** What must come out before anything else is walked to. */
export const leftoversFirst = 'Out first';

/** What comes out at an hour still to come; it stands behind the last shelf. */
export const laterTonight = 'Later';

/**
 * The round by shelf, in the walking order that the server gives; leftovers stand before the first shelf.
 * @param waiting What was done and waits for the server, by animal: nobody needs to walk there again.
 */
export function byShelf(round: RoundView, waiting: ReadonlyMap<string, string> = new Map()): Shelf[] {
  const apart = (code: string): Shelf => ({
    code,
    quarantine: false,
    note: '',
    rows: [],
    passBy: [],
    resting: 0,
  });
  const first = apart(leftoversFirst);
  const later = apart(laterTonight);
  const shelves = new Map<string, Shelf>(
    round.shelves.map((s) => [
      s.code,
      {
        code: s.code,
        quarantine: s.quarantine,
        note: s.note,
        rows: [],
        passBy: [],
        resting: Array.from(s.states).filter((state) => state === 'r').length,
      },
    ]),
  );
  for (const line of round.lines) {
    const shelf = shelves.get(shelfOf(line.place));
    if (line.state !== 'due') {
      shelf?.passBy.push(line);
    } else {
      const text = waiting.get(line.stockId);
      if (text !== undefined) {
        shelf?.rows.push({ kind: 'waiting', place: line.place, line, text });
        continue;
      }
      const section = line.section === 'later' ? later : line.section === 'first' ? first : shelf;
      section?.rows.push({ kind: 'due', place: line.place, line });
    }
  }
  round.done.forEach((done) =>
    shelves.get(shelfOf(done.place))?.rows.push({ kind: 'done', place: done.place, done }),
  );
  for (const shelf of shelves.values()) {
    shelf.rows.sort((a, b) => slotOf(a.place) - slotOf(b.place));
  }
  const walk = [...shelves.values()].filter((s) => s.rows.length > 0 || s.passBy.length > 0 || s.resting > 0);
  return [...(first.rows.length > 0 ? [first] : []), ...walk, ...(later.rows.length > 0 ? [later] : [])];
}
