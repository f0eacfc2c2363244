import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useNightPast } from './queries';
import { Dialog } from '../../ui/Dialog';
import { Waiting } from '../../ui/Waiting';

/** The round summed up: eaten, refused, molted, and what to check tomorrow. */
export function SumUp({ night, onClose }: { night: string; onClose: () => void }) {
  return (
    <Dialog title="Tonight, summed up" onClose={onClose} wide>
      <Waiting query={useNightPast(night)} what="The evening">
        {(past) => <SummaryText summary={past.summary} tomorrow="Check tomorrow" />}
      </Waiting>
    </Dialog>
  );
}

/** A summary as numbers with their words, news, and what is left to check. */
export function SummaryText({ summary, tomorrow }: { summary: Schemas['RoundSummary']; tomorrow: string }) {
  const numbers: [number, string, string][] = [
    [summary.eaten, 'meal eaten', 'meals eaten'],
    [summary.refused, 'refused', 'refused'],
    [summary.notSeen, 'not seen yet', 'not seen yet'],
    [summary.watered, 'watered', 'watered'],
    [summary.molts, 'molted', 'molted'],
    [summary.signs, 'sign seen', 'signs seen'],
    [summary.putOffs, 'put off', 'put off'],
  ];
  const told = numbers.filter(([count]) => count > 0);
  return (
    <>
      {told.length === 0 ? (
        <p className="text-muted">Nothing was logged.</p>
      ) : (
        <dl className="flex flex-wrap gap-x-6 gap-y-2 border-b border-line pb-3">
          {told.map(([count, one, many]) => (
            <div key={many} className="flex flex-col-reverse">
              <dt className="text-13 text-muted">{count === 1 ? one : many}</dt>
              <dd className="font-display text-22 font-semibold">{count}</dd>
            </div>
          ))}
          {summary.minutes !== null && (
            <div className="flex flex-col-reverse">
              <dt className="text-13 text-muted">min at the tubs, breaks left out</dt>
              <dd className="font-display text-22 font-semibold">
                {Math.max(1, Math.round(summary.minutes))}
              </dd>
            </div>
          )}
        </dl>
      )}
      {summary.hands.length > 1 && (
        <p className="mt-2 text-13 text-muted">
          {summary.hands.map((h) => `${h.by}: ${h.entries}`).join(' · ')}
        </p>
      )}
      <List title="News" lines={summary.news} />
      <List title={tomorrow} lines={summary.tomorrow} />
    </>
  );
}

function List({ title, lines }: { title: string; lines: readonly Schemas['SummaryLine'][] }) {
  return lines.length === 0 ? null : (
    <section className="mt-3">
      <h2 className="mb-1 text-15">{title}</h2>
      <ul>
        {lines.map((line, k) => (
          <li key={`${line.stockId}${k}`} className="border-t border-line py-1.5">
            <Link to={`/stock/${line.stockId}`} className="code hover:underline">
              {line.place}
            </Link>{' '}
            <b className="font-semibold">{line.name}</b> {line.text}
          </li>
        ))}
      </ul>
    </section>
  );
}
