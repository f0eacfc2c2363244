import { useVirtualizer, type VirtualItem } from '@tanstack/react-virtual';
import { type ReactNode, useRef } from 'react';

const rowHeight = 49;

interface VirtualTableProps {
  label: string;
  total: number;
  /** The widths of the columns, as a grid template. */
  columns: string;
  /** The heads of the columns, each a `columnheader`. */
  head: ReactNode;
  /** The rows that are looked at, each a `VirtualRow`. */
  children: (rows: readonly VirtualItem[]) => ReactNode;
}

/** A table of any length: only the rows that are looked at are built. */
export function VirtualTable({ label, total, columns, head, children }: VirtualTableProps) {
  const box = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- its functions go to no memoized component
  const rows = useVirtualizer({
    count: total,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 8,
  });
  return (
    <div
      ref={box}
      role="table"
      aria-label={label}
      aria-rowcount={total + 1}
      tabIndex={0}
      className="min-h-0 flex-1 overflow-auto border-t border-line"
    >
      <div role="rowgroup" className="sticky top-0 z-10 bg-bg">
        <div
          role="row"
          className="grid border-b border-line text-13 text-muted"
          style={{ gridTemplateColumns: columns }}
        >
          {head}
        </div>
      </div>
      <div role="rowgroup" className="relative" style={{ height: rows.getTotalSize() }}>
        {children(rows.getVirtualItems())}
      </div>
    </div>
  );
}

interface VirtualRowProps {
  at: VirtualItem;
  columns: string;
  children: ReactNode;
}

/** One row at its place. */
export function VirtualRow({ at, columns, children }: VirtualRowProps) {
  return (
    <div
      role="row"
      aria-rowindex={at.index + 2}
      className="absolute inset-x-0 grid items-center border-b border-line hover:bg-raised"
      style={{ gridTemplateColumns: columns, height: rowHeight, top: at.start }}
    >
      {children}
    </div>
  );
}
