import { Button } from '../../ui/Button';
import { Popover } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import type { Schemas } from '../../api/client';
import type { StockOrder } from './queries';
import { dateRange, dayDate, shortDate } from '../../ui/dates';
import { Lantern } from '../../ui/Lantern';
import { stageWord } from './words';

type Line = Schemas['StockLine'];

export type ColumnId = 'stage' | 'phase' | 'lastMeal' | 'lastMolt' | 'awaited' | 'came' | 'fit' | 'tags';

interface Column {
  id: ColumnId;
  title: string;
  width: string;
  order: StockOrder | null;
  cell: (line: Line, tonight: string) => ReactNode;
}

const all: readonly Column[] = [
  {
    id: 'stage',
    title: 'Stage',
    width: 'minmax(110px,1fr)',
    order: 'stage',
    cell: (s) => (
      <>
        {s.kind === 'colony' ? 'colony' : s.kind === 'tank' ? 'shared tank' : stageWord[s.stage]}
        <span className="block text-13 text-muted">
          {s.kind === 'tank'
            ? ''
            : [s.sex === 'unknown' ? 'sex unknown' : s.sex, s.instar].filter(Boolean).join(', ')}
        </span>
      </>
    ),
  },
  {
    id: 'phase',
    title: 'Phase',
    width: 'minmax(104px,1fr)',
    order: 'phase',
    cell: (s) => (
      <span className="flex items-center gap-2 max-sm:text-13">
        <Lantern shutters={s.shutters} className="size-5" />
        {s.phaseWord}
      </span>
    ),
  },
  {
    id: 'lastMeal',
    title: 'Last meal',
    width: '112px',
    order: 'lastMeal',
    cell: (s) => (s.lastMeal === null ? '–' : dayDate(s.lastMeal)),
  },
  {
    id: 'lastMolt',
    title: 'Last molt',
    width: '112px',
    order: 'lastMolt',
    cell: (s, tonight) => (s.lastMolt === null ? 'not seen' : shortDate(s.lastMolt, tonight)),
  },
  {
    id: 'awaited',
    title: 'Awaited (8 of 10)',
    width: 'minmax(150px,1.2fr)',
    order: 'awaited',
    cell: (s, tonight) => awaited(s, tonight),
  },
  {
    id: 'came',
    title: 'Came',
    width: '112px',
    order: 'came',
    cell: (s, tonight) => shortDate(s.came, tonight),
  },
  {
    id: 'fit',
    title: 'Enclosure',
    width: 'minmax(160px,1.4fr)',
    order: null,
    cell: (s) => <span className="text-13">{s.fit === '' ? '–' : s.fit}</span>,
  },
  {
    id: 'tags',
    title: 'Tags',
    width: 'minmax(110px,1fr)',
    order: null,
    cell: (s) => <span className="text-13">{s.tags.join(', ')}</span>,
  },
];

const usual: readonly ColumnId[] = ['stage', 'phase', 'lastMeal', 'lastMolt', 'awaited'];

export const columnsOf = (ids: readonly ColumnId[]): readonly Column[] =>
  all.filter((column) => ids.includes(column.id));

const storage = 'stock-columns';

/** Which columns are shown, remembered on this device. */
export function useColumns(): [readonly ColumnId[], (ids: readonly ColumnId[]) => void] {
  const [columns, setColumns] = useState<readonly ColumnId[]>(() => {
    const kept = localStorage.getItem(storage)?.split(',') ?? [];
    const known = all.map((c) => c.id).filter((id) => kept.includes(id));
    return known.length > 0 ? known : usual;
  });
  return [
    columns,
    (ids) => {
      localStorage.setItem(storage, ids.join(','));
      setColumns(ids);
    },
  ];
}

/** Chooses the columns. */
export function StockColumns({
  columns,
  onChange,
}: {
  columns: readonly ColumnId[];
  onChange: (ids: readonly ColumnId[]) => void;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button className="max-sm:hidden">Columns</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          aria-label="Columns"
          className="z-50 grid rounded-s border border-edge bg-raised px-4 py-2"
        >
          {all.map((column) => (
            <label key={column.id} className="flex min-h-9 cursor-pointer items-center gap-3">
              <input
                type="checkbox"
                className="size-5 accent-lampmark"
                checked={columns.includes(column.id)}
                onChange={() =>
                  onChange(
                    columns.includes(column.id)
                      ? columns.filter((id) => id !== column.id)
                      : [...columns, column.id],
                  )
                }
              />
              {column.title}
            </label>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** The window of what is awaited next, in words. */
function awaited(s: Line, tonight: string): string {
  if (s.departure !== null) {
    return `${departureWord[s.departure]} ${s.leftOn === null ? '' : shortDate(s.leftOn, tonight)}`;
  }
  if (s.awaited === null) {
    return s.kind === 'colony' || s.kind === 'tank' ? '–' : 'no more molts';
  }
  const { kind, label, from, to } = s.awaited;
  const window = dateRange(from, to, tonight);
  return kind === 'molt' ? window : `${label} ${window}`;
}

const departureWord: Record<Schemas['DepartureKind'], string> = {
  died: 'died',
  sold: 'sold',
  givenAway: 'given away',
  escaped: 'escaped',
  released: 'released',
  lost: 'lost',
  takenDown: 'taken down',
  mistaken: 'never here',
};
