import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Field';
import { Filter, Select } from '../../ui/Select';
import { useRulebook } from '../Rulebook/queries';
import { DayOrder } from './DayOrder';

type Sheet = Schemas['IntakeSheet'];
type Column = Schemas['IntakeColumn'];

const words: readonly (readonly [Column, string])[] = [
  ['ignored', 'not read'],
  ['place', 'place'],
  ['name', 'name'],
  ['species', 'species'],
  ['sex', 'sex'],
  ['count', 'how many'],
  ['stage', 'instar'],
  ['size', 'size'],
  ['lastMolt', 'last molt'],
  ['lastMeal', 'last meal'],
  ['lastWater', 'last water'],
  ['cameOn', 'came on'],
  ['cameFrom', 'came from'],
  ['hatchedOn', 'hatched on'],
  ['tags', 'tags'],
];

/** So many rows are shown, and all in which something is wrong. */
const shown = 10;

interface TableProps {
  sheet: Sheet;
  busy: boolean;
  onRead: (table: Schemas['IntakeTable']) => void;
  onWrite: (table: Schemas['IntakeTable']) => void;
}

/** How a table was read: what each column says, each row in a sentence, and what is wrong where it stands. */
export function IntakeTable({ sheet, busy, onRead, onWrite }: TableProps) {
  const groups = useRulebook().data?.groups ?? [];
  const [group, setGroup] = useState('');
  const [all, setAll] = useState(false);
  const now = (changed: Partial<Schemas['IntakeTable']> = {}): Schemas['IntakeTable'] => ({
    cells: sheet.cells,
    columns: sheet.columns.map((c) => c.column),
    dayFirst: sheet.dayFirst,
    unit: sheet.unit,
    group: group === '' ? null : group,
    ...changed,
  });
  const setCell = (row: number, column: number, text: string) =>
    onRead(
      now({
        cells: sheet.cells.map((cells, r) =>
          r === row ? sheet.columns.map((_, c) => (c === column ? text : (cells[c] ?? ''))) : cells,
        ),
      }),
    );
  const wrong = sheet.rows.filter((row) => row.problems.length > 0).length;
  const visible = sheet.rows.filter((row, k) => all || k < shown || row.problems.length > 0);
  return (
    <section aria-label="How it was read" className="grid gap-3">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <DayOrder dayFirst={sheet.dayFirst} onChange={(dayFirst) => onRead(now({ dayFirst }))} />
        <Choice
          label="Lengths without a unit are"
          options={[
            ['mm', 'mm'],
            ['cm', 'cm'],
            ['in', 'inches'],
          ]}
          value={sheet.unit}
          onChange={(unit) => onRead(now({ unit }))}
        />
        <div className="w-56">
          <Select
            label="Species not in the rulebook are"
            options={[['', 'not taken over'], ...groups.map((g) => [g.id, g.name] as const)]}
            value={group}
            onChange={(next) => {
              setGroup(next);
              onRead(now({ group: next === '' ? null : next }));
            }}
          />
        </div>
      </div>
      <div className="overflow-x-auto" role="region" aria-label="The table" tabIndex={0}>
        <table className="w-full border-collapse text-13">
          <thead>
            <tr className="text-left align-bottom">
              <th scope="col" className="py-1 pr-2 font-normal text-muted">
                Row
              </th>
              <th scope="col" className="min-w-72 py-1 font-normal text-muted">
                Read as
              </th>
              {sheet.columns.map((column, c) => (
                <th key={c} scope="col" className="min-w-28 py-1 pr-2 font-normal">
                  <span className="block truncate text-muted">{column.header}</span>
                  <Filter
                    label={`Column ${c + 1}${column.header === '' ? '' : `, ${column.header}`}`}
                    options={words}
                    value={column.column}
                    onChange={(next) =>
                      onRead(
                        now({
                          columns: sheet.columns.map((other, k) =>
                            k === c ? next : other.column === next ? 'ignored' : other.column,
                          ),
                        }),
                      )
                    }
                  />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {visible.map((row) => (
              <Row key={row.line} row={row} sheet={sheet} onCell={setCell} />
            ))}
          </tbody>
        </table>
      </div>
      {sheet.rows.length > visible.length && (
        <Button kind="link" onClick={() => setAll(true)}>
          Show all {sheet.rows.length} rows
        </Button>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <Button kind="first" disabled={busy || !sheet.isSound} onClick={() => onWrite(now())}>
          {sheet.rows.length === 1 ? 'Write it down' : `Write down all ${sheet.rows.length}`}
        </Button>
        <span role="status" className={wrong > 0 ? 'font-semibold text-ember' : 'text-mosstext'}>
          {sheet.rows.length === 0
            ? 'There is no animal in it.'
            : wrong === 0
              ? 'Every row was understood.'
              : wrong === 1
                ? '1 row is to be mended: nothing is written before.'
                : `${wrong} rows are to be mended: nothing is written before.`}
        </span>
      </div>
    </section>
  );
}

interface RowProps {
  row: Schemas['IntakeRow'];
  sheet: Sheet;
  onCell: (row: number, column: number, text: string) => void;
}

function Row({ row, sheet, onCell }: RowProps) {
  const at = row.line - 1;
  const wrongAt = (column: number) => row.problems.filter((problem) => problem.column === column);
  return (
    <tr className="border-t border-line align-top">
      <th scope="row" className="py-1 pr-2 text-left font-normal text-muted">
        {row.line}
      </th>
      <td className="py-1.5 pr-3">
        {row.details !== null && (
          <>
            <span className="code">{row.place}</span> <b className="font-semibold">{row.details.nickname}</b>
            <span className="block text-muted">{row.says}</span>
          </>
        )}
        {row.problems
          .filter((problem) => problem.column === null)
          .map((problem) => (
            <span key={problem.message} className="block text-12 text-ember">
              {problem.message}
            </span>
          ))}
      </td>
      {sheet.columns.map((column, c) => {
        const text = sheet.cells[at]?.[c] ?? '';
        const wrong = wrongAt(c);
        return (
          <td key={c} className={`py-0.5 pr-2 ${column.column === 'ignored' ? 'text-muted' : ''}`}>
            <input
              className={`cell ${wrong.length > 0 ? 'cell-wrong' : ''}`}
              aria-label={`Row ${row.line}, ${column.header === '' ? column.column : column.header}`}
              aria-invalid={wrong.length > 0}
              defaultValue={text}
              key={text}
              placeholder={column.column === 'place' ? (row.place ?? '') : ''}
              onBlur={(event) => event.target.value !== text && onCell(at, c, event.target.value)}
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            />
            {wrong.map((problem) => (
              <span key={problem.message} className="block text-12 text-ember">
                {problem.message}{' '}
                {problem.instead.map((instead) => (
                  <Button
                    key={instead}
                    kind="link"
                    className="mr-2 italic text-lamptext"
                    onClick={() => onCell(at, c, instead)}
                  >
                    {instead}
                  </Button>
                ))}
              </span>
            ))}
          </td>
        );
      })}
    </tr>
  );
}
