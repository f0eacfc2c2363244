import { useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { FormError } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { Filter } from '../../ui/Select';
import { DayOrder } from './DayOrder';
import { PasteBox } from './PasteBox';
import { type ListKind, useReadList, useWriteList } from './queries';

type Sheet = Schemas['ListSheet'];
type List = Schemas['KeepersList'];

const asked: Record<ListKind, { label: string; hint: string }> = {
  happened: {
    label: 'Paste what happened, or choose a file',
    hint: 'One row each: animal or place, date, and molted, fed, refused, watered, measured 45 mm, died, or a note',
  },
  larder: {
    label: 'Paste what is in the larder, or choose a file',
    hint: 'One row each: what it is, its size, how many; of a culture or a food plant also kind, and since when',
  },
  chores: {
    label: 'Paste the chores, or choose a file',
    hint: 'One row each: what to do, how often, next on; and where, season, what to have ready, minutes, last done',
  },
  gear: {
    label: 'Paste the shared gear, or choose a file',
    hint: 'One row each: the gear; where it is booked also from when, until when, and what for',
  },
  contacts: {
    label: 'Paste the people you deal with, or choose a file',
    hint: 'One row each: the name, and a note if you want one; nothing else is kept of anybody',
  },
};

/** So many rows are shown, and all in which something is wrong. */
const shown = 12;

/** A list of a keeper's own, from a notebook or a spreadsheet: one row each, read first, written all or none. */
export function KeepersList({ kind }: { kind: ListKind }) {
  const [text, setText] = useState('');
  const [id, setId] = useState(newId);
  const read = useReadList(kind);
  const write = useWriteList(kind);
  const refusal = [read.error, write.error].find((error) => error instanceof Refusal);
  const readText = (next: string) => {
    setText(next);
    write.reset();
    setId(newId());
    if (next.trim() !== '') {
      read.mutate({ text: next });
    }
  };
  return (
    <div className="grid gap-3">
      <PasteBox
        label={asked[kind].label}
        hint={asked[kind].hint}
        text={text}
        wasRead={read.data !== undefined}
        onText={setText}
        onRead={readText}
      />
      <FormError>{refusal?.all}</FormError>
      {write.data !== undefined ? (
        <p role="status" className="text-mosstext">
          {write.data.entries === 0
            ? 'All of it was on record already.'
            : `${write.data.entries} ${write.data.entries === 1 ? 'entry' : 'entries'} written.`}
        </p>
      ) : (
        read.data !== undefined && (
          <Rows
            sheet={read.data}
            busy={write.isPending}
            onRead={read.mutate}
            onWrite={(list) => write.mutate({ id, list })}
          />
        )
      )}
    </div>
  );
}

interface RowsProps {
  sheet: Sheet;
  busy: boolean;
  onRead: (list: List) => void;
  onWrite: (list: List) => void;
}

function Rows({ sheet, busy, onRead, onWrite }: RowsProps) {
  const fresh = sheet.rows.filter((row) => !row.isThere);
  const wrong = sheet.rows.filter((row) => row.problem !== null);
  const all = sheet.cells.map((_, k) => k + 1);
  const now = (changed: Partial<List> = {}): List => ({
    cells: sheet.cells,
    columns: sheet.columns,
    dayFirst: sheet.dayFirst,
    unit: sheet.unit,
    leaveOut: all.filter((line) => !sheet.rows.some((row) => row.line === line)),
    ...changed,
  });
  const visible = sheet.rows.filter((row, k) => k < shown || row.problem !== null);
  return (
    <section aria-label="How it was read" className="grid gap-3">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        {sheet.hasDates && (
          <DayOrder dayFirst={sheet.dayFirst} onChange={(dayFirst) => onRead(now({ dayFirst }))} />
        )}
        {sheet.columns.map((column, c) => (
          <Filter
            key={c}
            label={`Column ${c + 1}${sheet.headings.length <= c ? '' : `, ${sheet.headings[c]}`}`}
            options={sheet.choices.map((choice) => [choice.id, choice.word] as const)}
            value={column}
            onChange={(next) =>
              onRead(
                now({
                  columns: sheet.columns.map((other, k) =>
                    k === c ? next : other === next ? 'ignored' : other,
                  ),
                }),
              )
            }
          />
        ))}
      </div>
      <ol className="text-13">
        {visible.map((row) => (
          <li
            key={row.line}
            className={`grid grid-cols-[3rem_minmax(0,1fr)] border-t border-line py-1 ${row.problem === null ? '' : 'border-l-2 border-l-ember pl-2'}`}
          >
            <span className="text-muted">{row.line}</span>
            <span className={row.isThere ? 'text-muted' : ''}>
              {row.says}
              {row.problem !== null && <span className="block font-semibold">{row.problem}</span>}
            </span>
          </li>
        ))}
      </ol>
      {visible.length < sheet.rows.length && (
        <p className="text-13 text-muted">and {sheet.rows.length - visible.length} more, all of them read.</p>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <Button
          kind="first"
          disabled={busy || wrong.length > 0 || fresh.length === 0}
          onClick={() => onWrite(now())}
        >
          {fresh.length === 0 ? 'All of it is on record' : `Write ${fresh.length} down`}
        </Button>
        {wrong.length > 0 && (
          <Button
            disabled={busy}
            onClick={() =>
              onRead(now({ leaveOut: [...(now().leaveOut ?? []), ...wrong.map((row) => row.line)] }))
            }
          >
            Leave out the {wrong.length} that cannot be read
          </Button>
        )}
      </div>
    </section>
  );
}
