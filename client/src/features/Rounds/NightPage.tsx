import { PageTitle } from '../../ui/PageTitle';
import { groups } from 'd3-array';
import { Fragment } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useLarderWork } from '../Larder/queries';
import { useSettings } from '../Rooms/queries';
import { useNightline } from './queries';
import { useNightAhead, useNightPast } from './queries';
import { longDate, toDays } from '../../ui/dates';
import { Near } from '../../ui/Near';
import { builtAtOnce, inParts } from '../../ui/parts';
import { Waiting } from '../../ui/Waiting';
import { LarderWorkText } from './LarderWorkRow';
import { DoneRow } from './QuietRows';
import { shelfOf } from './shelves';
import { SummaryText } from './SumUp';

/** Another night: what was done on it, or what will be due. */
export function NightPage() {
  const { night = '' } = useParams();
  const tonight = useNightline().data?.tonight;
  if (tonight === undefined || !/^\d{4}-\d{2}-\d{2}$/.test(night)) {
    return <p className="m-auto text-muted">{tonight === undefined ? '…' : 'That is no night.'}</p>;
  }
  const nights = toDays(night) - toDays(tonight);
  return (
    <>
      <header className="flex flex-wrap items-end justify-between gap-3 px-6 pt-4 pb-3 max-sm:px-4">
        <div>
          <PageTitle>{longDate(night)}</PageTitle>
          <h1 className="page-title">{longDate(night)}</h1>
          <p className="text-muted">{away(nights)}</p>
        </div>
        <Link to="/" className="act px-4">
          Back to tonight
        </Link>
      </header>
      {nights <= 0 ? <Past night={night} /> : <Ahead night={night} />}
    </>
  );
}

const away = (nights: number) =>
  nights === 0
    ? 'Tonight'
    : nights < 0
      ? `${-nights === 1 ? 'Last night' : `${-nights} nights ago`}: what was done`
      : `In ${nights === 1 ? 'one night' : `${nights} nights`}: what will be due, if all is done until then`;

function Past({ night }: { night: string }) {
  const keeper = useSettings().data?.settings.keeperName ?? null;
  return (
    <Waiting query={useNightPast(night)} what="That night">
      {(past) => (
        <div className="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-x-8 border-t border-line px-6 pt-3 pb-6 max-lg:grid-cols-1 max-sm:px-4">
          <section aria-label="Done" className="min-w-0">
            {past.done.length === 0 ? (
              <p className="text-muted">Nothing was logged on that night.</p>
            ) : (
              inParts(past.done).map((part) => (
                <Near
                  key={part[0]?.stockId}
                  height={part.length * 32}
                  always={past.done.length <= builtAtOnce}
                >
                  {() => part.map((done) => <DoneRow key={done.stockId} done={done} keeper={keeper} />)}
                </Near>
              ))
            )}
          </section>
          <section aria-label="Summary" className="min-w-0">
            <SummaryText summary={past.summary} tomorrow="To check the evening after" />
          </section>
        </div>
      )}
    </Waiting>
  );
}

function Ahead({ night }: { night: string }) {
  const larder = useLarderWork(night).data ?? [];
  return (
    <Waiting query={useNightAhead(night)} what="That night">
      {(ahead) => (
        <div className="border-t border-line pb-6">
          <p className="px-6 py-2 text-13 text-muted max-sm:px-4">
            {ahead.lines.length === 0 && ahead.chores.length + larder.length === 0
              ? 'Nothing falls on that night yet.'
              : `${count(ahead.lines.length, 'enclosure')}, ${count(ahead.chores.length + larder.length, 'chore')}, about ${Math.max(1, Math.ceil(ahead.seconds / 60 + larder.reduce((sum, work) => sum + work.minutes, 0)))} min. What is counted from meals still to come may shift, and is marked “again”.`}
          </p>
          {ahead.chores.length + larder.length > 0 && (
            <ul className="border-t border-line">
              {ahead.chores.map((chore) => (
                <li key={chore.id} className="border-b border-line px-6 py-1.5 max-sm:px-4">
                  <b className="font-semibold">{chore.plan.title}</b>{' '}
                  <span className="text-13 text-muted">
                    {chore.plan.where} {chore.plan.minutes} min
                  </span>
                </li>
              ))}
              {larder.map((work) => (
                <li
                  key={work.cultureId ?? work.text}
                  className="border-b border-line px-6 py-1.5 max-sm:px-4"
                >
                  <LarderWorkText work={work} />
                </li>
              ))}
            </ul>
          )}
          {groups(ahead.lines, (line) => shelfOf(line.place)).map(([shelf, lines]) => (
            <Near key={shelf} height={lines.length * 33} always={ahead.lines.length <= builtAtOnce}>
              {() => (
                <section
                  aria-label={`Shelf ${shelf}`}
                  className="grid grid-cols-[56px_minmax(0,1fr)] border-b border-line"
                >
                  <h2 className="pt-1 pl-6 text-18 font-medium max-sm:pl-4">{shelf}</h2>
                  <ul className="divide-y divide-line">
                    {lines.map((line) => (
                      <Planned key={line.stockId} line={line} />
                    ))}
                  </ul>
                </section>
              )}
            </Near>
          ))}
        </div>
      )}
    </Waiting>
  );
}

const count = (n: number, word: string) => `${n === 0 ? 'no' : n} ${word}${n === 1 ? '' : 's'}`;

function Planned({ line }: { line: Schemas['PlannedLine'] }) {
  return (
    <li className="grid grid-cols-[72px_170px_minmax(0,1fr)] items-baseline gap-x-3 py-1.5 pr-6 pl-2.5 max-sm:grid-cols-[72px_minmax(0,1fr)]">
      <Link to={`/stock/${line.stockId}`} className="code hover:underline">
        {line.place}
      </Link>
      <b className="truncate font-display font-semibold">{line.name}</b>
      <span className="max-sm:col-start-2">
        {line.care.map((care, k) => (
          <Fragment key={care.what}>
            {k > 0 && ', '}
            {care.what}
            {care.again && <span className="text-13 text-muted"> again</span>}
          </Fragment>
        ))}
        {line.awaited !== '' && (
          <span className="text-13 text-hush">
            {line.care.length === 0 ? '' : ' · '}
            {line.awaited}
          </span>
        )}
      </span>
    </li>
  );
}
