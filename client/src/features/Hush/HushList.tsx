import { DataTable } from '../../ui/DataTable';
import type { AnimalView, Schemas } from '../../api/client';
import { dateRange, shortDate } from '../../ui/dates';

type Line = AnimalView['hush'][number];

const verdictClass: Record<Schemas['Verdict'], string> = {
  never: 'text-ember',
  avoid: 'text-lamptext',
  fine: 'text-mosstext',
};

const until = (line: Line, tonight: string): string => {
  if (line.until === null) {
    return '';
  }
  const { from, night, to } = line.until;
  return from === to
    ? `until ${shortDate(night, tonight)}`
    : `until about ${shortDate(night, tonight)} (${dateRange(from, to, tonight)})`;
};

interface Row {
  verdict: Schemas['Verdict'];
  until: string;
  acts: string[];
}

/** What may be done to an animal tonight, the forbidden first; acts that end together stand together. */
export function HushList({ animal }: { animal: AnimalView }) {
  const { hush, cares, tonight } = animal;
  const rows: Row[] = [];
  for (const verdict of ['never', 'avoid', 'fine'] as const) {
    for (const line of hush.filter((l) => l.verdict === verdict)) {
      const word = cares[line.act];
      if (word === undefined) {
        continue;
      }
      const same = rows.find((row) => row.verdict === verdict && row.until === until(line, tonight));
      if (same === undefined) {
        rows.push({ verdict, until: until(line, tonight), acts: [word] });
      } else {
        same.acts.push(word);
      }
    }
  }
  return (
    <DataTable
      label="What may be done, act by act"
      headIsHeard
      rows={rows}
      keyOf={(row) => `${row.verdict}${row.until}`}
      columns={[
        {
          id: 'verdict',
          title: 'Verdict',
          names: true,
          className: 'w-12',
          cellClass: (row) => `font-semibold ${verdictClass[row.verdict]}`,
          cell: (row) => row.verdict,
        },
        {
          id: 'acts',
          title: 'Acts and until when',
          cell: (row) => (
            <>
              <span className={row.verdict === 'fine' ? '' : 'font-semibold'}>{row.acts.join(', ')}</span>{' '}
              <span className="text-muted">{row.until}</span>
            </>
          ),
        },
      ]}
    />
  );
}
