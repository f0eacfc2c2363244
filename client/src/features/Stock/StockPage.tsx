import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { VirtualRow, VirtualTable } from '../../ui/VirtualTable';
import { useDeferredValue, useState } from 'react';
import { useMayWrite } from '../../ui/mayWrite';
import { Writes } from '../../ui/Writes';
import { useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { type StockFilter, type StockOrder, stockLinesAtOnce, useStockStretch } from './queries';
import { useIsPhone } from '../../ui/useMedia';
import { Waiting } from '../../ui/Waiting';
import { StockActs } from './StockActs';
import { StockColumns, columnsOf, type ColumnId, useColumns } from './stockColumns';
import { StockFilters } from './StockFilters';

type Line = Schemas['StockLine'];

/** Everything that is kept, and what has left: filtered, ordered, and acted upon by many at once. */
export function StockPage() {
  const navigate = useNavigate();
  const mayWrite = useMayWrite();
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
            <Writes>
              <Button onClick={() => void navigate('/stock/many')}>Write down many</Button>
              <Button kind="first" onClick={() => void navigate('/stock/new')}>
                Add an animal
              </Button>
            </Writes>
          </div>
        </div>
        <StockFilters filter={filter} onChange={change} choices={first.data?.choices} />
      </header>
      {chosen.size > 0 && mayWrite && (
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
  const phone = useIsPhone();
  const shown = columnsOf(phone ? ['phase'] : columns);
  const widths = `44px 84px minmax(${phone ? '120px' : '170px'},1.5fr) ${shown.map((c) => c.width).join(' ')}`;
  const choose = (line: Line) => {
    const next = new Map(chosen);
    if (!next.delete(line.stockId)) {
      next.set(line.stockId, line);
    }
    onChoose(next);
  };
  return (
    <VirtualTable
      label="Stock"
      total={total}
      columns={widths}
      head={
        <>
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
        </>
      }
    >
      {(items) =>
        [...new Set(items.map((item) => Math.floor(item.index / stockLinesAtOnce)))].map((stretch) => (
          <Stretch key={stretch} filter={filter} stretch={stretch}>
            {(lines, tonight) =>
              items
                .filter((item) => Math.floor(item.index / stockLinesAtOnce) === stretch)
                .map((item) => {
                  const line = lines[item.index % stockLinesAtOnce];
                  return (
                    line !== undefined && (
                      <VirtualRow key={line.stockId} at={item} columns={widths}>
                        <Cells
                          line={line}
                          tonight={tonight}
                          chosen={chosen.has(line.stockId)}
                          onChoose={() => choose(line)}
                          columns={shown}
                        />
                      </VirtualRow>
                    )
                  );
                })
            }
          </Stretch>
        ))
      }
    </VirtualTable>
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
