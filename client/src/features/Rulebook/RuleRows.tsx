import { Button } from '../../ui/Button';
import { type Schemas } from '../../api/client';
import { useGiveUpOverride } from './queries';
import { tagWord } from '../Reasons/tags';
import { bySchools, canChange, longestWait } from './ruleParts';
import { WaitBand } from './WaitBand';

type Row = Schemas['SheetLine'];

interface RuleRowsProps {
  title: string;
  rows: Row[];
  onChange: (row: Row) => void;
}

/** One section of a species: each rule once, its schools side by side, waits drawn on one scale. */
export function RuleRows({ title, rows, onChange }: RuleRowsProps) {
  if (rows.length === 0) {
    return null;
  }
  const longest = longestWait(rows.map((row) => row.line));
  return (
    <section aria-label={title} className="mt-4">
      <h2 className="text-18">{title}</h2>
      <table className="w-full border-collapse text-13">
        <thead className="sr-only">
          <tr>
            <th scope="col">Rule</th>
            <th scope="col">Value</th>
            <th scope="col">Source</th>
            <th scope="col">Change</th>
          </tr>
        </thead>
        <tbody>
          {bySchools(rows).map((schools) =>
            schools[0].line.school === '' ? (
              <RuleRow
                key={schools[0].line.name}
                row={schools[0]}
                longest={longest}
                onChange={() => onChange(schools[0])}
              />
            ) : (
              <SchoolsRow key={schools[0].line.name} rows={schools} onChange={onChange} />
            ),
          )}
        </tbody>
      </table>
    </section>
  );
}

interface RuleRowProps {
  row: Row;
  longest: number;
  onChange: () => void;
}

function RuleRow({ row, longest, onChange }: RuleRowProps) {
  const { line } = row;
  return (
    <tr className="border-t border-line align-top max-sm:grid max-sm:grid-cols-[1fr_auto] max-sm:py-1">
      <th scope="row" className="w-[26%] py-1.5 pr-3 text-left font-normal max-sm:w-auto">
        {line.label}
      </th>
      <td
        className={`w-[36%] py-1.5 pr-3 max-sm:col-start-1 max-sm:w-auto ${line.form === 'text' ? '' : 'font-semibold'}`}
      >
        {line.text}
        {line.form === 'wait' && <WaitBand line={line} longest={longest} />}
        {row.shipped !== null && (
          <span className="block font-normal text-muted">rulebook: {row.shipped}</span>
        )}
      </td>
      <td className="py-1.5 pr-3 text-muted max-sm:col-start-1">
        <Origin line={line} />
      </td>
      <td className="py-1.5 text-right whitespace-nowrap max-sm:col-start-2 max-sm:row-span-3 max-sm:row-start-1">
        <Change row={row} onChange={onChange} />
      </td>
    </tr>
  );
}

/** What the schools say of one thing, and what is followed unless told otherwise. */
function SchoolsRow({ rows, onChange }: { rows: Row[]; onChange: (row: Row) => void }) {
  const line = rows[0]?.line;
  const chosen = rows.find((row) => row.line.school === 'default');
  return (
    <tr className="border-t border-line align-top max-sm:grid max-sm:py-1">
      <th scope="row" className="py-1.5 pr-3 text-left font-normal">
        {line?.label}
      </th>
      <td colSpan={2} className="py-1.5 pr-3">
        <div className="grid grid-cols-3 gap-x-4">
          {rows.map((row) => (
            <div key={row.line.name} className={row === chosen ? 'border-l-2 border-lampmark pl-2' : 'pl-2'}>
              <span className="block text-12 text-muted">{schoolWord[row.line.school]}</span>
              <span className="font-semibold">{row.line.text}</span>{' '}
              <Change row={row} onChange={() => onChange(row)} />
              {row.shipped !== null && <span className="block text-muted">rulebook: {row.shipped}</span>}
              {row === chosen && (
                <span className="block text-12 text-muted">{row.line.source.replace(/^house: /, '')}</span>
              )}
            </div>
          ))}
        </div>
      </td>
      <td />
    </tr>
  );
}

function Origin({ line }: { line: Schemas['RuleLine'] }) {
  return (
    <>
      <span className={line.tag === 'keeper' ? 'text-lamptext' : ''}>{tagWord[line.tag]}</span>
      {line.tag !== 'practice' && line.tag !== 'memory' && (
        <span className="block text-12">{line.source.replace(/^house: /, '')}</span>
      )}
    </>
  );
}

function Change({ row, onChange }: { row: Row; onChange: () => void }) {
  const giveUp = useGiveUpOverride();
  return (
    <>
      {canChange(row.line.form) && (
        <Button writes="owner" kind="link" onClick={onChange}>
          change
          <span className="sr-only">
            {' '}
            {row.line.label} {row.line.school}
          </span>
        </Button>
      )}
      {row.overrideId !== null && (
        <Button
          writes="owner"
          kind="link"
          className="ml-3 text-lamptext"
          disabled={giveUp.isPending}
          onClick={() =>
            row.overrideId !== null && giveUp.mutate({ id: row.overrideId, rule: row.line.name })
          }
        >
          back to the rulebook
        </Button>
      )}
    </>
  );
}

export const schoolWord: Record<string, string> = {
  often: 'often school',
  lean: 'lean school',
  quick: 'quick school',
  cautious: 'cautious school',
  default: 'our default',
};
