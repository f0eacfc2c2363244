import { Button } from '../../ui/Button';
import { Check } from 'lucide-react';
import type { Schemas } from '../../api/client';
import { useLogChore } from '../Chores/queries';
import { fromDays, shortDate, toDays } from '../../ui/dates';
import { useWaits } from '../Outbox/useWaits';
import { LarderWorkRow } from './LarderWorkRow';
import { WaitsLine } from './WaitsLine';
import { newId } from '../../ui/newId';

interface Props {
  chores: readonly Schemas['RoundChore'][];
  larder: readonly Schemas['LarderWork'][];
  night: string;
}

/** Work other than at animals that falls on tonight; after the animals, as mites and dirt are handled last. */
export function RoundChores({ chores, larder, night }: Props) {
  const log = useLogChore('button');
  const waits = useWaits();
  const act = (next: Schemas['ChoreAct'], text: string) => log.mutate({ id: newId(), act: next, text });
  return (
    <section
      id="chores"
      aria-label="Chores"
      className="grid grid-cols-[56px_minmax(0,1fr)] border-b border-line max-sm:grid-cols-1"
    >
      <h2 className="pt-2.5 pl-6 text-13 font-medium text-lamptext max-sm:pl-4">Chores</h2>
      <ul className="min-w-0 divide-y divide-line">
        {chores.map(({ chore, doneTonight }) => (
          <li
            key={chore.id}
            className="flex min-h-9 flex-wrap items-center gap-x-3 gap-y-1 py-0.5 pr-6 pl-[46px] max-sm:px-4 max-sm:py-2"
          >
            {waits(chore.plan.title) !== null ? (
              <WaitsLine title={chore.plan.title} what={waits(chore.plan.title) ?? ''} />
            ) : doneTonight ? (
              <>
                <Check className="size-5 text-moss" aria-label="done" />
                <span className="flex-1 text-13 text-muted">
                  {chore.plan.title}
                  {chore.lastNote === '' ? '' : `: ${chore.lastNote}`} ({chore.doneBy})
                </span>
                {chore.lastEntryId !== null && (
                  <Button
                    writes
                    kind="link"
                    className="text-13 text-muted"
                    onClick={() =>
                      act(
                        { kind: 'choreWithdrawn', entryId: chore.lastEntryId ?? '' },
                        `taken back: ${chore.plan.title}`,
                      )
                    }
                  >
                    take back
                  </Button>
                )}
              </>
            ) : (
              <>
                <span className="min-w-0 flex-1 basis-60 max-sm:basis-full">
                  <b className="font-semibold">{chore.plan.title}</b>
                  <small className="ml-2 text-13 text-muted max-sm:ml-0 max-sm:block">
                    {about(chore, night)}
                  </small>
                </span>
                <Button
                  writes
                  small
                  disabled={log.isPending}
                  onClick={() =>
                    act(
                      { kind: 'choreDone', choreId: chore.id, night, note: '' },
                      `${chore.plan.title}: done`,
                    )
                  }
                >
                  Done<span className="sr-only">: {chore.plan.title}</span>
                </Button>
                <Button
                  writes
                  kind="plain"
                  small
                  disabled={log.isPending}
                  onClick={() =>
                    act(
                      {
                        kind: 'chorePutOff',
                        choreId: chore.id,
                        untilNight: fromDays(toDays(night) + 1),
                        reason: '',
                      },
                      `${chore.plan.title}: tomorrow`,
                    )
                  }
                >
                  Tomorrow<span className="sr-only">: {chore.plan.title}</span>
                </Button>
              </>
            )}
          </li>
        ))}
        {larder.map((work) => (
          <LarderWorkRow key={work.cultureId ?? `${work.plantId ?? ''}${work.text}`} work={work} />
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
