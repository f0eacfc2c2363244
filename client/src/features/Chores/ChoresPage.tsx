import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useChores, useLogChore } from './queries';
import { clockTime, dayDate, shortDate, dayOf } from '../../ui/dates';
import { Waiting } from '../../ui/Waiting';
import { ChoreForm } from './ChoreForm';
import { GearSection } from './GearSection';
import { kindWord, rhythm } from './choreWords';
import { DoneForm } from './DoneForm';
import { newId } from '../../ui/newId';

/** Work other than at one animal, gear that is shared, and what was done of late. */
export function ChoresPage() {
  return (
    <Waiting query={useChores()} what="The chores">
      {(view) => <Chores view={view} />}
    </Waiting>
  );
}

function Chores({ view }: { view: Schemas['ChoresView'] }) {
  const [editing, setEditing] = useState<Schemas['Chore'] | 'new' | null>(null);
  const log = useLogChore('button');
  const seasons = view.chores.filter((c) => c.chore.plan.season !== null);
  const others = view.chores.filter((c) => c.chore.plan.season === null);
  return (
    <>
      <header className="flex flex-wrap items-end justify-between gap-3 px-6 pt-4 pb-3 max-sm:px-4">
        <div>
          <PageTitle>Chores</PageTitle>
          <h1 className="page-title">Chores</h1>
          <p className="text-muted">
            Cultures, misting, cleaning, checks of instruments, seasons, shared gear
          </p>
        </div>
        <Button writes kind="first" onClick={() => setEditing('new')}>
          Plan a chore
        </Button>
      </header>
      <div className="grid flex-1 grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] border-t border-line max-lg:grid-cols-1">
        <div className="min-w-0 px-6 pb-8 max-sm:px-4">
          <List
            title="What comes"
            chores={others}
            view={view}
            onEdit={setEditing}
            empty="Nothing is planned yet."
          />
          <List
            title="Season calendar"
            chores={seasons}
            view={view}
            onEdit={setEditing}
            empty="What each season brings where you live: leaves to gather, windows to shade, the crabs’ months."
          />
        </div>
        <aside className="min-w-0 border-line px-6 pb-8 max-lg:border-t max-sm:px-4 lg:border-l">
          <GearSection view={view} />
          <section className="mt-6">
            <h2 className="mb-1 text-18">Of late</h2>
            {view.log.length === 0 && <p className="text-13 text-muted">Nothing yet.</p>}
            <ul className="text-13">
              {view.log.map((line) => (
                <li key={line.id} className="border-t border-line py-1">
                  <span className="text-muted">
                    {shortDate(dayOf(line.at), view.tonight)} {clockTime(line.at)}
                  </span>{' '}
                  {line.by} {line.text}{' '}
                  {dayOf(line.at) >= view.tonight && (
                    <Button
                      writes
                      kind="link"
                      className="text-muted"
                      disabled={log.isPending}
                      onClick={() =>
                        log.mutate({
                          id: newId(),
                          act: { kind: 'choreWithdrawn', entryId: line.id },
                          text: `taken back: ${line.text}`,
                        })
                      }
                    >
                      take back<span className="sr-only">: {line.text}</span>
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        </aside>
      </div>
      {editing !== null && (
        <ChoreForm
          chore={editing === 'new' ? null : editing}
          tonight={view.tonight}
          onClose={() => setEditing(null)}
        />
      )}
    </>
  );
}

interface ListProps {
  title: string;
  chores: readonly Schemas['ChoreView'][];
  view: Schemas['ChoresView'];
  onEdit: (chore: Schemas['Chore']) => void;
  empty: string;
}

function List({ title, chores, view, onEdit, empty }: ListProps) {
  const log = useLogChore('button');
  const [doing, setDoing] = useState<Schemas['Chore'] | null>(null);
  return (
    <section className="pt-3">
      <h2 className="mb-1 text-18">{title}</h2>
      {chores.length === 0 && <p className="text-13 text-muted">{empty}</p>}
      <ul>
        {chores.map(({ chore, due, ahead }) => (
          <li
            key={chore.id}
            className="grid grid-cols-[108px_minmax(0,1fr)_auto] items-start gap-x-3 border-t border-line py-2 max-sm:grid-cols-1"
          >
            <span className={due !== null && due <= view.tonight ? 'font-semibold text-lamptext' : ''}>
              {due === null ? 'over' : due <= view.tonight ? 'tonight' : dayDate(due)}
              {due !== null && due < view.tonight && (
                <small className="block text-13 font-normal">since {shortDate(due, view.tonight)}</small>
              )}
            </span>
            <div className="min-w-0">
              <b className="font-display text-15 font-semibold">{chore.plan.title}</b>
              <small className="block text-13 text-muted">
                {[
                  kindWord[chore.plan.kind],
                  rhythm(chore.plan),
                  chore.plan.where,
                  `${chore.plan.minutes} min`,
                  chore.plan.kit,
                ]
                  .filter((t) => t !== '')
                  .join(' · ')}
              </small>
              <small className="block text-13 text-muted">
                {chore.lastDone === null
                  ? 'not done yet'
                  : `last ${shortDate(chore.lastDone, view.tonight)} by ${chore.doneBy}${chore.lastNote === '' ? '' : `: ${chore.lastNote}`}`}
                {ahead.length > 1 &&
                  `, then ${ahead
                    .slice(1)
                    .map((n) => shortDate(n, view.tonight))
                    .join(', ')}`}
              </small>
              {chore.putOffReason !== '' && (
                <small className="block text-13 text-hush">put off: {chore.putOffReason}</small>
              )}
            </div>
            <span className="flex flex-wrap justify-end gap-1 max-sm:-ml-px max-sm:justify-start max-sm:pt-1">
              {due !== null && (
                <Button writes onClick={() => setDoing(chore)}>
                  Done<span className="sr-only">: {chore.plan.title}</span>
                </Button>
              )}
              <Button writes kind="plain" onClick={() => onEdit(chore)}>
                Change<span className="sr-only"> {chore.plan.title}</span>
              </Button>
              <Button
                writes
                kind="plain"
                onClick={() =>
                  log.mutate({
                    id: newId(),
                    act: { kind: 'choreDropped', choreId: chore.id },
                    text: `${chore.plan.title}: dropped`,
                  })
                }
              >
                Drop<span className="sr-only"> {chore.plan.title}</span>
              </Button>
            </span>
          </li>
        ))}
      </ul>
      {doing !== null && <DoneForm chore={doing} tonight={view.tonight} onClose={() => setDoing(null)} />}
    </section>
  );
}
