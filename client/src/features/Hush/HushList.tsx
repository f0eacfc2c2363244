import type { AnimalView, Schemas } from '../../api/client';
import { dateRange, shortDate } from '../../ui/dates';

type Line = AnimalView['hush'][number];

const actWord: Record<Schemas['CareAct'], string> = {
  water: 'Water',
  feedLive: 'Live food',
  feedDead: 'Pre-killed food',
  handle: 'Handling',
  rehouse: 'Rehousing',
  dig: 'Opening the hide or digging',
  ship: 'Shipping',
  pair: 'Pairing',
  mist: 'Misting',
  brightLight: 'Bright light',
  clean: 'Cleaning',
};

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

/** What may be done tonight, the forbidden first; acts that end together stand together. */
export function HushList({ lines, tonight }: { lines: Line[]; tonight: string }) {
  const rows: Row[] = [];
  for (const verdict of ['never', 'avoid', 'fine'] as const) {
    for (const line of lines.filter((l) => l.verdict === verdict)) {
      const same = rows.find((row) => row.verdict === verdict && row.until === until(line, tonight));
      if (same === undefined) {
        rows.push({ verdict, until: until(line, tonight), acts: [actWord[line.act]] });
      } else {
        same.acts.push(actWord[line.act]);
      }
    }
  }
  return (
    <table className="w-full border-collapse text-13">
      <caption className="sr-only">What may be done, act by act</caption>
      <tbody>
        {rows.map((row) => (
          <tr key={`${row.verdict}${row.until}`} className="border-t border-line align-top">
            <th scope="row" className={`w-12 py-1 text-left font-semibold ${verdictClass[row.verdict]}`}>
              {row.verdict}
            </th>
            <td className="py-1">
              <span className={row.verdict === 'fine' ? '' : 'font-semibold'}>{row.acts.join(', ')}</span>{' '}
              <span className="text-muted">{row.until}</span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
