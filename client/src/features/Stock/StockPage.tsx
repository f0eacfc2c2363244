import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useDeferredValue, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { type StockFilter, type StockOrder, stockLinesAtOnce, useStockStretch } from './queries';
import { useIsPhone } from '../../ui/useMedia';
import { Waiting } from '../../ui/Waiting';
import { StockActs } from './StockActs';
import { StockColumns, columnsOf, type ColumnId, useColumns } from './stockColumns';
import { StockFilters } from './StockFilters';

type Line = Schemas['StockLine'];

const rowHeight = 49;

/** Everything that is kept, and what has left: filtered, ordered, and acted upon by many at once. */
export function StockPage() {
  const navigate = useNavigate();
  const show = useSearchParams()[0].get('show');
  const [filter, setFilter] = useState<StockFilter>(() => ({
    here: true,
    order: 'place',
    ...(show !== null && { show }),
  }));
  const deferred = useDeferredValue(filter);
  const first = useStockStretch(deferred, 0);
  const [chosen, setChosen] = useState<ReadonlyMap<string, Line>>(new Map());
  const [columns, setColumns] = useColumns();
  const change = (next: StockFilter) => {
    setFilter(next);
    setChosen(new Map());
  };
  return (
    <>
      <header className="px-6 pt-4 pb-2 max-sm:px-4">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <PageTitle>Stock</PageTitle>
            <h1 className="page-title">Stock</h1>
            <p className="text-muted" role="status">
              {first.data === undefined ? ' ' : count(first.data, filter)}
            </p>
          </div>
          <div className="flex gap-2">
            <StockColumns columns={columns} onChange={setColumns} />
            <Button onClick={() => void navigate('/stock/many')}>Write down many</Button>
            <Button kind="first" onClick={() => void navigate('/stock/new')}>
              Add an animal
            </Button>
          </div>
        </div>
        <StockFilters filter={filter} onChange={change} choices={first.data?.choices} />
      </header>
      {chosen.size > 0 && (
        <StockActs
          chosen={[...chosen.values()]}
          total={first.data?.total ?? 0}
          filter={deferred}
          onChoose={(lines) => setChosen(new Map(lines.map((l) => [l.stockId, l])))}
        />
      )}
      <Waiting query={first} what="The stock">
        {(stretch) =>
          stretch.total === 0 ? (
            <p className="m-auto p-10 text-center text-muted">
              {filter.find !== undefined || Object.keys(filter).length > 2
                ? 'Nothing matches. Loosen a filter.'
                : filter.here === true
                  ? 'Nothing is kept here yet. Add the first animal.'
                  : 'Nothing has left the collection.'}
            </p>
          ) : (
            <List
              key={JSON.stringify(deferred)}
              filter={deferred}
              total={stretch.total}
              columns={columns}
              chosen={chosen}
              onChoose={setChosen}
              onOrder={(order) =>
                change({ ...filter, order, back: filter.order === order ? filter.back !== true : false })
              }
            />
          )
        }
      </Waiting>
    </>
  );
}

function count(stretch: Schemas['StockStretch'], filter: StockFilter): string {
  const enclosures = stretch.total === 1 ? '1 enclosure' : `${stretch.total} enclosures`;
  return filter.here === true
    ? `${enclosures}, ${stretch.animals} animals`
    : `${stretch.total} left the collection`;
}

interface ListProps {
  filter: StockFilter;
  total: number;
  columns: readonly ColumnId[];
  chosen: ReadonlyMap<string, Line>;
  onChoose: (chosen: ReadonlyMap<string, Line>) => void;
  onOrder: (order: StockOrder) => void;
}

/** Only the rows that are looked at are built; what is scrolled to is fetched by the hundred. */
function List({ filter, total, columns, chosen, onChoose, onOrder }: ListProps) {
  const box = useRef<HTMLDivElement>(null);
  const phone = useIsPhone();
  const shown = columnsOf(phone ? ['phase'] : columns);
  // eslint-disable-next-line react-hooks/incompatible-library -- its functions go to no memoized component
  const rows = useVirtualizer({
    count: total,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 8,
  });
  const grid = {
    gridTemplateColumns: `44px 84px minmax(${phone ? '120px' : '170px'},1.5fr) ${shown.map((c) => c.width).join(' ')}`,
  };
  const choose = (line: Line) => {
    const next = new Map(chosen);
    if (!next.delete(line.stockId)) {
      next.set(line.stockId, line);
    }
    onChoose(next);
  };
  const items = rows.getVirtualItems();
  const stretches = [...new Set(items.map((item) => Math.floor(item.index / stockLinesAtOnce)))];
  return (
    <div
      ref={box}
      role="table"
      aria-label="Stock"
      aria-rowcount={total + 1}
      tabIndex={0}
      className="min-h-0 flex-1 overflow-auto border-t border-line"
    >
      <div role="rowgroup" className="sticky top-0 z-10 bg-bg">
        <div role="row" className="grid border-b border-line text-13 text-muted" style={grid}>
          <span role="columnheader" className="py-2 pl-4">
            <span className="sr-only">Chosen</span>
          </span>
          <Head order="place" filter={filter} onOrder={onOrder}>
            Place
          </Head>
          <Head order="name" filter={filter} onOrder={onOrder}>
            Animal
          </Head>
          {shown.map((column) => (
            <Head key={column.id} order={column.order} filter={filter} onOrder={onOrder}>
              {column.title}
            </Head>
          ))}
        </div>
      </div>
      <div role="rowgroup" className="relative" style={{ height: rows.getTotalSize() }}>
        {stretches.map((stretch) => (
          <Stretch key={stretch} filter={filter} stretch={stretch}>
            {(lines, tonight) =>
              items
                .filter((item) => Math.floor(item.index / stockLinesAtOnce) === stretch)
                .map((item) => {
                  const line = lines[item.index % stockLinesAtOnce];
                  return (
                    line !== undefined && (
                      <div
                        key={line.stockId}
                        role="row"
                        aria-rowindex={item.index + 2}
                        className="absolute inset-x-0 grid items-center border-b border-line hover:bg-raised"
                        style={{ ...grid, height: rowHeight, top: item.start }}
                      >
                        <Cells
                          line={line}
                          tonight={tonight}
                          chosen={chosen.has(line.stockId)}
                          onChoose={() => choose(line)}
                          columns={shown}
                        />
                      </div>
                    )
                  );
                })
            }
          </Stretch>
        ))}
      </div>
    </div>
  );
}

function Stretch({
  filter,
  stretch,
  children,
}: {
  filter: StockFilter;
  stretch: number;
  children: (lines: readonly Line[], tonight: string) => React.ReactNode;
}) {
  const { data, isPlaceholderData } = useStockStretch(filter, stretch);
  return data === undefined || (isPlaceholderData && data.from !== stretch * stockLinesAtOnce)
    ? null
    : children(data.lines, data.tonight);
}

interface CellsProps {
  line: Line;
  tonight: string;
  chosen: boolean;
  onChoose: () => void;
  columns: ReturnType<typeof columnsOf>;
}

function Cells({ line, tonight, chosen, onChoose, columns }: CellsProps) {
  const navigate = useNavigate();
  const to = `/stock/${line.stockId}`;
  return (
    <>
      <span role="cell" className="pl-4">
        <input
          type="checkbox"
          className="size-5 align-middle accent-lampmark"
          aria-label={`Choose ${line.place} ${line.name}`}
          checked={chosen}
          onChange={onChoose}
        />
      </span>
      <span role="cell" className="code px-2">
        {line.place}
      </span>
      <span role="cell" className="min-w-0 px-2 leading-tight">
        <a
          href={to}
          onClick={(event) => {
            event.preventDefault();
            void navigate(to);
          }}
          className="font-display text-15 font-semibold hover:underline"
        >
          {line.name}
        </a>
        {line.kind !== 'specimen' && <span className="text-muted"> × {line.count}</span>}
        <i className="block truncate text-13 text-muted">{line.species}</i>
      </span>
      {columns.map((column) => (
        <span key={column.id} role="cell" className="min-w-0 px-2 leading-tight">
          {column.cell(line, tonight)}
        </span>
      ))}
    </>
  );
}

interface HeadProps {
  order: StockOrder | null;
  filter: StockFilter;
  onOrder: (order: StockOrder) => void;
  children: string;
}

function Head({ order, filter, onOrder, children }: HeadProps) {
  const current = order !== null && filter.order === order;
  return (
    <span
      role="columnheader"
      aria-sort={current ? (filter.back === true ? 'descending' : 'ascending') : 'none'}
      className="px-2 py-1"
    >
      {order === null ? (
        <span className="inline-block py-1">{children}</span>
      ) : (
        <button
          type="button"
          className={`min-h-7 text-left hover:text-ink touch:min-h-11 ${current ? 'font-semibold text-ink' : ''}`}
          onClick={() => onOrder(order)}
        >
          {children}
          <span aria-hidden="true">{current ? (filter.back === true ? ' ↑' : ' ↓') : ''}</span>
        </button>
      )}
    </span>
  );
}
