import type { AnimalView, Schemas } from '../../api/client';
import { shortDate } from '../../ui/dates';

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

const until = (line: Line): string => {
  if (line.until === null) {
    return '';
  }
  const { from, night, to } = line.until;
  return from === to
    ? `until ${shortDate(night)}`
    : `until about ${shortDate(night)} (${shortDate(from)} – ${shortDate(to)})`;
};

/** What may be done tonight, act by act, the forbidden first. */
export function HushList({ lines }: { lines: Line[] }) {
  const groups = (['never', 'avoid', 'fine'] as const)
    .map((verdict) => ({ verdict, lines: lines.filter((line) => line.verdict === verdict) }))
    .filter((group) => group.lines.length > 0);
  return (
    <table className="w-full border-collapse text-13">
      <caption className="sr-only">What may be done, act by act</caption>
      <tbody>
        {groups.map(({ verdict, lines: acts }) =>
          verdict === 'fine' ? (
            <tr key={verdict} className="border-t border-line align-top">
              <th scope="row" className={`w-12 py-1 text-left font-semibold ${verdictClass.fine}`}>
                fine
              </th>
              <td className="py-1">{acts.map((line) => actWord[line.act]).join(', ')}</td>
            </tr>
          ) : (
            acts.map((line, k) => (
              <tr key={line.act} className="border-t border-line align-top">
                <th scope="row" className={`w-12 py-1 text-left font-semibold ${verdictClass[verdict]}`}>
                  <span className={k > 0 ? 'sr-only' : ''}>{verdict}</span>
                </th>
                <td className="py-1">
                  <b className="font-semibold">{actWord[line.act]}</b>{' '}
                  <span className="text-muted">{until(line)}</span>
                </td>
              </tr>
            ))
          ),
        )}
      </tbody>
    </table>
  );
}
