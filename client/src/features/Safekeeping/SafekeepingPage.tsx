import { useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { clockTime, dayOf, shortDate } from '../../ui/dates';
import { FormError } from '../../ui/Field';
import { PageHeader } from '../../ui/PageHeader';
import { Waiting } from '../../ui/Waiting';
import { useSession } from '../Access/queries';
import { MovePanel } from './MovePanel';
import { useCheckRecord, useMakeBackup, useSafekeeping } from './queries';
import { RestoreDialog } from './RestoreDialog';
import { countOf, reasonWord, sizeWord } from './words';

/** The record itself: whether it is sound, its copies, and how it comes in and goes out. */
export function SafekeepingPage() {
  const session = useSession().data;
  return (
    <>
      <PageHeader
        title="Safekeeping"
        about="Copies of the record, and how it goes elsewhere. One is made every night by itself."
      />
      {session?.isOwner === true ? (
        <OwnersView />
      ) : (
        <p className="px-6 max-sm:px-4">Copies are kept and put back by the owner of the room.</p>
      )}
    </>
  );
}

function OwnersView() {
  return (
    <Waiting query={useSafekeeping()} what="Safekeeping">
      {(view) => <Safekeeping view={view} />}
    </Waiting>
  );
}

function Safekeeping({ view }: { view: Schemas['SafekeepingView'] }) {
  return (
    <div className="grid max-w-[1000px] gap-8 px-6 pt-2 pb-10 max-sm:px-4">
      <Record view={view} />
      <Copies view={view} />
      <MovePanel />
    </div>
  );
}

function Record({ view }: { view: Schemas['SafekeepingView'] }) {
  const check = useCheckRecord();
  const { sums, found } = view;
  return (
    <section aria-labelledby="record" className="grid gap-2">
      <h2 id="record" className="text-22">
        {found !== null && found.wrong.length > 0 ? 'The record is damaged' : 'The record'}
      </h2>
      <p>
        {countOf(sums.entries, 'entry', 'entries')} of {countOf(sums.animals, 'animal', 'animals')} and{' '}
        {countOf(sums.pictures, 'picture', 'pictures')}, {sizeWord(view.bytes)} in one file.
      </p>
      <p className="text-13 break-all text-muted">{view.file}</p>
      {found !== null && (
        <p className="text-13 text-soft">
          {found.wrong.length === 0 ? 'Found sound' : 'Found damaged'} on {shortDate(dayOf(found.at))} at{' '}
          {clockTime(found.at)}.
        </p>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <Button onClick={() => check.mutate(undefined)} disabled={check.isPending}>
          Look through all of it
        </Button>
        <div role="status">
          {check.isPending && 'Reading every entry…'}
          {check.data?.isSound === true && <span className="text-mosstext">All of it is sound.</span>}
          {check.data?.isSound === false && (
            <ul className="list-disc pl-5">
              {check.data.says.map((says) => (
                <li key={says}>{says}</li>
              ))}
            </ul>
          )}
        </div>
      </div>
      <FormError>{check.error instanceof Refusal ? check.error.all : undefined}</FormError>
    </section>
  );
}

function Copies({ view }: { view: Schemas['SafekeepingView'] }) {
  const make = useMakeBackup();
  const [asked, setAsked] = useState<Schemas['BackupView'] | null>(null);
  const [done, setDone] = useState(false);
  return (
    <section aria-labelledby="copies" className="grid gap-2">
      <h2 id="copies" className="text-22">
        Copies
      </h2>
      <p className="max-w-[70ch] text-13 text-muted">
        Kept: one of each of the last seven days, four weeks and twelve months, what was copied by hand, and
        what was there before each change. They lie on the same disk as the record: carry one to another place
        now and then.
      </p>
      <p className="text-13 break-all text-muted">{view.folder}</p>
      <div className="flex flex-wrap items-center gap-3">
        <Button
          kind="first"
          onClick={() => {
            setDone(false);
            make.mutate(undefined);
          }}
          disabled={make.isPending}
        >
          Copy now
        </Button>
        <span role="status" className="text-mosstext">
          {make.isPending
            ? 'Copying…'
            : done
              ? 'Put back. What was there before is the newest copy.'
              : make.isSuccess
                ? 'Copied and checked.'
                : ''}
        </span>
      </div>
      <FormError>{make.error instanceof Refusal ? make.error.all : undefined}</FormError>
      {view.backups.length === 0 ? (
        <p>There is no copy yet.</p>
      ) : (
        <ul>
          {view.backups.map((copy) => (
            <li
              key={copy.name}
              className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 border-t border-line py-1.5"
            >
              <span>
                <b className="font-semibold">
                  {shortDate(dayOf(copy.at))}, {clockTime(copy.at)}
                </b>{' '}
                <span className="text-13 text-muted">
                  {reasonWord(copy.reason)}, {sizeWord(copy.bytes)}
                </span>
              </span>
              <span className="flex gap-2">
                <a
                  className="act"
                  href={`/api/safekeeping/backups/${encodeURIComponent(copy.name)}`}
                  download={copy.name}
                >
                  Carry off<span className="sr-only"> the copy of {shortDate(dayOf(copy.at))}</span>
                </a>
                <Button onClick={() => setAsked(copy)}>
                  Put back<span className="sr-only"> the copy of {shortDate(dayOf(copy.at))}</span>
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
      {asked !== null && (
        <RestoreDialog
          copy={asked}
          onClose={(isDone) => {
            setAsked(null);
            setDone(isDone);
          }}
        />
      )}
    </section>
  );
}
