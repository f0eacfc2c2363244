import { groups } from 'd3-array';
import type { Schemas } from '../../api/client';

export type Grouping = 'shelf' | 'kind';

type Band = Schemas['AlmanacBand'];

/** Bands of one row: one animal or one chore. */
export interface AlmanacRow {
  key: string;
  who: string;
  stockId: string | null;
  bands: Band[];
}

export interface AlmanacGroup {
  title: string;
  rows: AlmanacRow[];
}

const kindTitle: Record<Schemas['AlmanacKind'], string> = {
  molt: 'Molts',
  firstMeal: 'First meals after a molt',
  wait: 'Buried, pupae, founding, brooding',
  chore: 'Chores',
  season: 'Seasons',
  booking: 'Gear booked',
  quarantine: 'New stock apart',
  apart: 'Young put apart',
  warmUp: 'Out of the cold',
  programme: 'Programmes of the air',
};

const kinds = Object.keys(kindTitle) as Schemas['AlmanacKind'][];

/** Bands by shelf or kind, each group in rows of one animal or chore. */
export function bandsBy(bands: readonly Band[], grouping: Grouping): AlmanacGroup[] {
  const titleOf = (band: Band) =>
    grouping === 'kind' ? kindTitle[band.kind] : band.shelf === '' ? 'The room' : band.shelf;
  const parts = groups(bands, titleOf).map(([title, members]) => ({
    title,
    rows: groups(members, (b) => `${b.stockId ?? ''}${b.who}`).map(([key, row]) => ({
      key,
      who: row[0]?.who ?? '',
      stockId: row[0]?.stockId ?? null,
      bands: row,
    })),
  }));
  return grouping === 'kind'
    ? parts.toSorted((a, b) => rankOf(a.title) - rankOf(b.title))
    : parts.toSorted((a, b) => compareShelves(a.title, b.title));
}

const rankOf = (title: string) => kinds.findIndex((kind) => kindTitle[kind] === title);

/** The room first, then racks by letter and shelves by number. */
function compareShelves(a: string, b: string): number {
  const parts = (title: string) => /^([A-Z]{1,2})(\d*)$/.exec(title);
  const [x, y] = [parts(a), parts(b)];
  if (x === null || y === null) {
    return (x === null ? 0 : 1) - (y === null ? 0 : 1);
  }
  const [rackX = '', rackY = ''] = [x[1], y[1]];
  return rackX.length - rackY.length || rackX.localeCompare(rackY) || Number(x[2]) - Number(y[2]);
}
