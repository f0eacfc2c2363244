import { useMayWrite } from '../../ui/mayWrite';
import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { useAlmanac, useFeed } from './queries';
import { dateRange, shortDate } from '../../ui/dates';
import { Choice } from '../../ui/Field';
import { Waiting } from '../../ui/Waiting';
import { AlmanacDrawing } from './AlmanacDrawing';
import { bandsBy, type Grouping } from './almanacGroups';

/** Twelve weeks ahead as bands, by shelf or by kind. */
export function AlmanacPage() {
  const [grouping, setGrouping] = useState<Grouping>('shelf');
  return (
    <Waiting query={useAlmanac()} what="The almanac">
      {({ plan, hasFeed }) => {
        const groups = bandsBy(plan.bands, grouping);
        return (
          <>
            <header className="flex flex-wrap items-end justify-between gap-3 px-6 pt-4 pb-3 max-sm:px-4">
              <div>
                <PageTitle>Almanac</PageTitle>
                <h1 className="page-title">Almanac</h1>
                <p className="text-muted">
                  {dateRange(plan.from, plan.to, plan.from, ' to ')}:{' '}
                  {plan.bands.filter((b) => b.likely !== null).length} awaited. A band is eight of ten such
                  waits, its mark half of them.
                </p>
              </div>
              <div className="flex flex-wrap items-end gap-2 print:hidden">
                <Choice
                  label="By"
                  options={[
                    ['shelf', 'Shelf'],
                    ['kind', 'Kind'],
                  ]}
                  value={grouping}
                  onChange={setGrouping}
                />
                <Button onClick={() => window.print()}>Print</Button>
                <a href="/api/almanac/calendar.ics" className="act px-4" download>
                  Calendar file
                </a>
              </div>
            </header>
            {plan.bands.length === 0 ? (
              <p className="m-auto p-10 text-center text-muted">
                Nothing is awaited in the next twelve weeks. Bands come from molts on record, waits and
                chores.
              </p>
            ) : (
              <AlmanacDrawing plan={plan} groups={groups} />
            )}
            <Ended plan={plan} />
            <Feed has={hasFeed} />
          </>
        );
      }}
    </Waiting>
  );
}

function Ended({ plan }: { plan: Schemas['AlmanacPlan'] }) {
  return plan.ended.length === 0 ? null : (
    <section className="border-t border-line px-6 py-3 text-13 max-sm:px-4">
      <h2 className="mb-1 text-18">Came in the last five weeks</h2>
      <ul className="flex flex-wrap gap-x-6">
        {plan.ended.map((e) => (
          <li key={e.key} className="py-0.5">
            {e.who}{' '}
            <span className="text-muted">
              {e.label}, {shortDate(e.on, plan.from)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The address that other calendars can subscribe to. */
function Feed({ has }: { has: boolean }) {
  const feed = useFeed();
  const mayWrite = useMayWrite();
  // Told once: the room keeps only what is needed to know it again.
  const path = feed.data?.path ?? null;
  const address = path === null ? null : `${window.location.origin}${path}`;
  if (!mayWrite) {
    return null;
  }
  return (
    <section className="border-t border-line px-6 py-3 print:hidden max-sm:px-4">
      <h2 className="mb-1 text-18">In your own calendar</h2>
      <p className="max-w-2xl text-13 text-muted">
        {address === null && has
          ? 'A calendar reads the almanac under an address of yours, which was shown once. A new address ends the former one.'
          : address === null
            ? 'Make an address with a secret in it and subscribe to it in any calendar. Whoever knows the address can read the almanac, and nothing else.'
            : 'Subscribe to this address in any calendar, and keep it: it is shown once. Whoever knows it can read the almanac, and nothing else; a new address ends the former one.'}
      </p>
      {address !== null && (
        <input
          className="field mt-2 max-w-2xl"
          readOnly
          aria-label="Address of the calendar"
          value={address}
          onFocus={(event) => event.target.select()}
        />
      )}
      <div className="mt-2 flex gap-2">
        <Button disabled={feed.isPending} onClick={() => feed.mutate(true)}>
          {has || address !== null ? 'Make a new address' : 'Make an address'}
        </Button>
        {(has || address !== null) && (
          <Button kind="plain" disabled={feed.isPending} onClick={() => feed.mutate(false)}>
            End it
          </Button>
        )}
      </div>
      {feed.error instanceof Refusal && (
        <p role="alert" className="text-ember">
          {feed.error.all}
        </p>
      )}
    </section>
  );
}
