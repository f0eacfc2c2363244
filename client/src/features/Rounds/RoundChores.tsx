import { Check } from 'lucide-react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useLogChore } from '../../api/roomQueries';
import { fromDays, shortDate, toDays } from '../../ui/dates';

/** Work other than at animals that falls on tonight. */
export function RoundChores({ chores, night }: { chores: readonly Schemas['RoundChore'][]; night: string }) {
  const log = useLogChore();
  const act = (next: Schemas['ChoreAct']) => log.mutate({ id: crypto.randomUUID(), act: next });
  return (
    <section
      aria-label="Chores"
      className="grid grid-cols-[56px_minmax(0,1fr)] border-b border-line max-sm:grid-cols-1"
    >
      <h2 className="pt-3 pl-6 text-13 font-medium text-lamptext max-sm:pl-4">
        <Link to="/chores" className="hover:underline">
          Chores
        </Link>
      </h2>
      <ul className="min-w-0 divide-y divide-line">
        {chores.map(({ chore, doneTonight }) => (
          <li
            key={chore.id}
            className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5 pr-6 pl-2.5 max-sm:px-4"
          >
            {doneTonight ? (
              <>
                <Check className="size-5 text-moss" aria-label="done" />
                <span className="flex-1 text-13 text-muted">
                  {chore.plan.title}
                  {chore.lastNote === '' ? '' : `: ${chore.lastNote}`} ({chore.doneBy})
                </span>
                {chore.lastEntryId !== null && (
                  <button
                    type="button"
                    className="linkish min-h-8 text-13 text-muted max-sm:min-h-11"
                    onClick={() => act({ kind: 'choreWithdrawn', entryId: chore.lastEntryId ?? '' })}
                  >
                    take back
                  </button>
                )}
              </>
            ) : (
              <>
                <span className="min-w-0 flex-1 basis-60">
                  <b className="text-15 font-semibold">{chore.plan.title}</b>
                  <small className="block text-13 text-muted">{about(chore, night)}</small>
                </span>
                <button
                  type="button"
                  className="act px-3"
                  disabled={log.isPending}
                  onClick={() => act({ kind: 'choreDone', choreId: chore.id, night, note: '' })}
                >
                  Done<span className="sr-only">: {chore.plan.title}</span>
                </button>
                <button
                  type="button"
                  className="act act-plain px-3"
                  disabled={log.isPending}
                  onClick={() =>
                    act({
                      kind: 'chorePutOff',
                      choreId: chore.id,
                      untilNight: fromDays(toDays(night) + 1),
                      reason: '',
                    })
                  }
                >
                  Tomorrow<span className="sr-only">: {chore.plan.title}</span>
                </button>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

const about = (chore: Schemas['Chore'], night: string) =>
  [
    chore.plan.where === '' ? '' : chore.plan.where,
    `${chore.plan.minutes} min`,
    chore.lastDone === null ? 'not done yet' : `last ${shortDate(chore.lastDone, night)}`,
    chore.plan.kit,
  ]
    .filter((part) => part !== '')
    .join(' · ');
