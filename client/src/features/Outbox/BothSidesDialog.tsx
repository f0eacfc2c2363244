import { DataTable } from '../../ui/DataTable';
import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { BothSides } from '../../api/client';
import type { Outgoing } from '../../api/outbox';
import { outbox } from '../../api/writing';
import { clockTime, localClock } from '../../ui/dates';
import { Dialog } from '../../ui/Dialog';
import { settled, withoutTold } from './settling';

type Difference = BothSides['differences'][number];

interface BothSidesProps {
  item: Outgoing;
  both: BothSides;
  onClose: () => void;
}

/** What is there and what was to be written, side by side: the keeper says which shall stand. */
export function BothSidesDialog({ item, both, onClose }: BothSidesProps) {
  return (
    <Dialog title="Both are shown, nothing was overwritten" hint={item.text} onClose={onClose} wide>
      {both.kind === 'stale' ? (
        <FieldByField item={item} both={both} onClose={onClose} />
      ) : (
        <ToldTwice item={item} both={both} onClose={onClose} />
      )}
    </Dialog>
  );
}

/** Somebody else wrote the same of that night. */
function ToldTwice({ item, both, onClose }: BothSidesProps) {
  const rest = withoutTold(item, both);
  const leave = () => {
    if (rest === null) {
      void outbox.drop(item.seq);
    } else {
      void outbox.again(item.seq, { ...rest, seen: null });
    }
    onClose();
  };
  const write = () => {
    void outbox.again(item.seq, { seen: null });
    onClose();
  };
  return (
    <>
      <DataTable
        label="What was told twice"
        rows={both.twice}
        keyOf={(told) => told.yourId}
        columns={[
          {
            id: 'theirs',
            title: 'In the room',
            cell: (told) => (
              <>
                <b className="font-semibold">{told.theirs}</b>
                <span className="block text-muted">
                  {told.by}, {clockTime(told.at)}
                </span>
              </>
            ),
          },
          {
            id: 'yours',
            title: `Yours, ${localClock(item.tapped)}`,
            cellClass: 'font-semibold',
            cell: (told) => told.yours,
          },
        ]}
      />
      <div className="mt-4 flex flex-wrap justify-end gap-2">
        <Button onClick={write}>Both happened: write mine too</Button>
        <Button kind="first" onClick={leave}>
          {rest === null ? 'It is the same: leave mine out' : 'They are the same: write only the others'}
        </Button>
      </div>
    </>
  );
}

/** Somebody else changed the same thing: each field that differs is chosen by itself. */
function FieldByField({ item, both, onClose }: BothSidesProps) {
  const [theirs, setTheirs] = useState<ReadonlySet<string>>(new Set());
  const choose = (field: string, isTheirs: boolean) =>
    setTheirs((now) => new Set(isTheirs ? [...now, field] : [...now].filter((f) => f !== field)));
  const side = (difference: Difference, isTheirs: boolean) => (
    <label className="flex min-h-8 cursor-pointer items-center gap-2 touch:min-h-11">
      <input
        type="radio"
        className="size-4 accent-lampmark"
        name={difference.field}
        checked={theirs.has(difference.field) === isTheirs}
        onChange={() => choose(difference.field, isTheirs)}
      />
      {isTheirs ? difference.theirs : difference.yours}
      <span className="sr-only">{isTheirs ? ' (in the room)' : ' (yours)'}</span>
    </label>
  );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void outbox.again(item.seq, { body: settled(item.body, both, theirs) });
        onClose();
      }}
    >
      <DataTable
        label="Fields that differ"
        rows={both.differences}
        keyOf={(difference) => difference.field}
        columns={[
          {
            id: 'what',
            title: 'What',
            names: true,
            cellClass: 'font-semibold',
            cell: (difference) => difference.label,
          },
          { id: 'theirs', title: 'In the room', cell: (difference) => side(difference, true) },
          { id: 'yours', title: 'Yours', cell: (difference) => side(difference, false) },
        ]}
      />
      <div className="mt-4 flex justify-end gap-2">
        <Button
          onClick={() => {
            void outbox.drop(item.seq);
            onClose();
          }}
        >
          Keep all as it is
        </Button>
        <Button kind="first" type="submit">
          Write what is chosen
        </Button>
      </div>
    </form>
  );
}
