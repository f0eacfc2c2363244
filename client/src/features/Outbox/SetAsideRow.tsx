import { Button } from '../../ui/Button';
import { lazy, useState } from 'react';
import type { Outgoing, SetAside } from '../../api/outbox';
import { outbox } from '../../api/writing';
import { localClock, localDay } from '../../ui/dates';
import { Dialog } from '../../ui/Dialog';
import { TextField } from '../../ui/Field';
import { Opening } from '../../ui/Trouble';

const BothSidesDialog = lazy(async () => ({ default: (await import('./BothSidesDialog')).BothSidesDialog }));

/** One that the server refused: what it was, what is wrong with it, and what can be done. */
export function SetAsideRow({ item }: { item: Outgoing }) {
  const [asking, setAsking] = useState(false);
  const why = item.setAside;
  if (why === null) {
    return null;
  }
  const all = Object.values(why.fields).flat().join(' ') || why.title;
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 py-0.5">
      <p className="min-w-0 flex-1 basis-64">
        <b className="font-semibold text-ember">Not written:</b> {item.text}, {localDay(item.tapped)}{' '}
        {localClock(item.tapped)}. {all}
      </p>
      <span className="flex flex-wrap">
        <Remedy item={item} why={why} onAsk={() => setAsking(true)} />
        <Button kind="plain" onClick={() => void outbox.drop(item.seq)}>
          Give up
        </Button>
      </span>
      {asking &&
        (why.both === null ? (
          <WhenDialog item={item} onClose={() => setAsking(false)} />
        ) : (
          <Opening onClose={() => setAsking(false)}>
            <BothSidesDialog item={item} both={why.both} onClose={() => setAsking(false)} />
          </Opening>
        ))}
    </div>
  );
}

function Remedy({ item, why, onAsk }: { item: Outgoing; why: SetAside; onAsk: () => void }) {
  if (why.both !== null) {
    return (
      <Button kind="plain" onClick={onAsk}>
        See both…
      </Button>
    );
  }
  return 'tapped' in why.fields ? (
    <Button kind="plain" onClick={onAsk}>
      Say when…
    </Button>
  ) : (
    <Button kind="plain" onClick={() => void outbox.again(item.seq)}>
      Write again
    </Button>
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
        <Button kind="first" type="submit" className="justify-self-start">
          Write it
        </Button>
      </form>
    </Dialog>
  );
}
