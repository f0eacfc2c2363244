import type { Schemas } from '../../api/client';

/** An enclosure in hand, and the place it would be set down at. */
export interface Carried {
  slot: Schemas['SlotView'];
  to: string;
}

/** "B2" and 7 make `B2·07`. */
export const codeOf = (shelf: string, slot: number): string => `${shelf}·${String(slot).padStart(2, '0')}`;

/** All places of a shelf in order, taken or free. */
export const placesOf = (shelf: Schemas['ShelfView']): string[] =>
  [...shelf.slots.map((s) => Number(s.place.split('·')[1])), ...shelf.free]
    .toSorted((a, b) => a - b)
    .map((slot) => codeOf(shelf.code, slot));

/** The place that lies some columns or shelves away from another one; the same where there is none. */
export function freeOrTaken(
  view: Schemas['ShelvesView'],
  place: string,
  columns: number,
  rows: number,
): string {
  const shelves = view.racks.flatMap((r) => r.shelves).filter((s) => placesOf(s).length > 0);
  const k = shelves.findIndex((s) => s.code === place.split('·')[0]);
  const shelf = shelves[k];
  if (shelf === undefined) {
    return place;
  }
  const at = placesOf(shelf).indexOf(place);
  const next = shelves[k + rows];
  if (rows !== 0) {
    const there = next === undefined ? [] : placesOf(next);
    return there[Math.min(Math.max(at, 0), there.length - 1)] ?? place;
  }
  return placesOf(shelf)[at + columns] ?? place;
}
