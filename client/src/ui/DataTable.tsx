import type { ReactNode } from 'react';

/** One column of a table. */
export interface Column<Row> {
  id: string;
  title: ReactNode;
  cell: (row: Row) => ReactNode;
  /** It names its row. */
  names?: boolean;
  /** Numbers stand at the right. */
  right?: boolean;
  /** A class for its width, or for what shows on a phone. */
  className?: string;
  /** A class for its cells alone. */
  cellClass?: string | ((row: Row) => string);
}

interface DataTableProps<Row> {
  /** What the table is of, for those who hear it. */
  label: string;
  rows: readonly Row[];
  keyOf: (row: Row) => string;
  columns: readonly Column<Row>[];
  /** Columns whose content says what it is need no head to be seen. */
  headIsHeard?: boolean;
  className?: string;
  /** Rows that are not of the same kind, after the others. */
  foot?: ReactNode;
}

/** Rows and columns as one table of the house: a head, a line above each row, numbers at the right. */
export function DataTable<Row>({
  label,
  rows,
  keyOf,
  columns,
  headIsHeard = false,
  className = '',
  foot,
}: DataTableProps<Row>) {
  const at = (column: Column<Row>) =>
    `${column.right === true ? 'text-right tabular-nums' : 'text-left'} ${column.className ?? ''}`;
  return (
    <table className={`w-full border-collapse text-13 ${className}`}>
      <caption className="sr-only">{label}</caption>
      <thead className={headIsHeard ? 'sr-only' : ''}>
        <tr className="text-muted">
          {columns.map((column) => (
            <th key={column.id} scope="col" className={`py-1 pr-3 font-normal last:pr-0 ${at(column)}`}>
              {column.title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={keyOf(row)} className="border-t border-line align-top">
            {columns.map((column) => {
              const own = typeof column.cellClass === 'function' ? column.cellClass(row) : column.cellClass;
              const className = `py-1 pr-3 last:pr-0 ${at(column)} ${own ?? ''}`;
              return column.names === true ? (
                <th key={column.id} scope="row" className={`font-normal ${className}`}>
                  {column.cell(row)}
                </th>
              ) : (
                <td key={column.id} className={className}>
                  {column.cell(row)}
                </td>
              );
            })}
          </tr>
        ))}
        {foot}
      </tbody>
    </table>
  );
}
