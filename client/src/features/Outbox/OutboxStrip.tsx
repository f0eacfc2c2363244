import { useState } from 'react';
import type { Outgoing } from '../../api/outbox';
import { outbox, useOutbox } from '../../api/writing';
import { clockTime, dayDate } from '../../ui/dates';
import { Dialog } from '../../ui/Dialog';
import { TextField } from '../../ui/Field';

const count = (n: number, one: string, many: string) => (n === 1 ? `1 ${one}` : `${n} ${many}`);

/** What waits for the server on this device, and what it has refused. Nothing of it is lost, whatever happens. */
export function OutboxStrip() {
  const { items, silentSince, signIn } = useOutbox();
  const aside = items.filter((item) => item.setAside !== null);
  const others = items.filter((item) => item.setAside === null && !outbox.isMine(item));
  const waiting = items.length - aside.length - others.length;
  const stands = silentSince !== null || signIn;
  if (aside.length + others.length === 0 && !(stands && waiting > 0)) {
    return null;
  }
  return (
    <section
      aria-label="Waiting for the server"
      className="flex-none border-t border-edge bg-raised px-6 py-1.5 text-13 max-sm:px-4"
    >
      {stands && waiting > 0 && (
        <p role="status" className="flex items-center gap-x-3">
          <span className="min-w-0 flex-1">
            {silentSince !== null && (
              <b className="font-semibold text-lamptext">No answer since {clockTime(silentSince)}. </b>
            )}
            {signIn && <b className="font-semibold text-lamptext">Signed out. </b>}
            {count(waiting, 'entry waits', 'entries wait')} on this device
            <span className="max-sm:sr-only">
              {' '}
              and {waiting === 1 ? 'is' : 'are'} written as soon as the server{' '}
              {signIn ? 'knows you again' : 'answers'}, each at its own time
            </span>
            .
          </span>
          <button type="button" className="act act-plain" onClick={() => outbox.poke()}>
            Try now
          </button>
        </p>
      )}
      {others.length > 0 && (
        <p>
          {count(others.length, 'entry', 'entries')} of{' '}
          {[...new Set(others.map((item) => item.by))].join(', ')} {others.length === 1 ? 'waits' : 'wait'} on
          this device until they sign in here.
        </p>
      )}
      {aside.map((item) => (
        <SetAsideRow key={item.seq} item={item} />
      ))}
    </section>
  );
}

/** One that the server refused: what it was, what is wrong with it, and what can be done. */
function SetAsideRow({ item }: { item: Outgoing }) {
  const [dating, setDating] = useState(false);
  const why = item.setAside;
  const all = why === null ? '' : Object.values(why.fields).flat().join(' ') || why.title;
  const canBeDated = why !== null && 'tapped' in why.fields;
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 py-0.5">
      <p className="min-w-0 flex-1 basis-64">
        <b className="font-semibold text-ember">Not written:</b> {item.text},{' '}
        {dayDate(item.tapped.slice(0, 10))} {clockTime(item.tapped)}. {all}
      </p>
      {canBeDated ? (
        <button type="button" className="act act-plain" onClick={() => setDating(true)}>
          Say when…
        </button>
      ) : (
        <button type="button" className="act act-plain" onClick={() => void outbox.again(item.seq)}>
          Write again
        </button>
      )}
      <button type="button" className="act act-plain" onClick={() => void outbox.drop(item.seq)}>
        Give up
      </button>
      {dating && <WhenDialog item={item} onClose={() => setDating(false)} />}
    </div>
  );
}

/** An act whose time is not known: the clock of this device was changed after it. */
function WhenDialog({ item, onClose }: { item: Outgoing; onClose: () => void }) {
  const [at, setAt] = useState('');
  return (
    <Dialog title="When was it?" hint={item.text} onClose={onClose}>
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          void outbox.again(item.seq, { tapped: (at === '' ? new Date() : new Date(at)).toISOString() });
          onClose();
        }}
      >
        <TextField
          label="Date and time"
          hint="Empty for now"
          type="datetime-local"
          value={at}
          onChange={setAt}
        />
        <button type="submit" className="act act-first justify-self-start px-5">
          Write it
        </button>
      </form>
    </Dialog>
  );
}
