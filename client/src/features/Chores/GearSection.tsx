import { Writes } from '../../ui/Writes';
import { Button } from '../../ui/Button';
import { type SubmitEvent, useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { BookingForm } from './BookingForm';
import { useLogChore } from './queries';
import { Field, FormError } from '../../ui/Field';
import { dateRange } from '../../ui/dates';
import { newId } from '../../ui/newId';

/** Gear that several projects share, and who has it when. */
export function GearSection({ view }: { view: Schemas['ChoresView'] }) {
  const log = useLogChore();
  const [name, setName] = useState('');
  const [booking, setBooking] = useState<Schemas['Gear'] | null>(null);
  const act = (next: Schemas['ChoreAct'], text: string) => log.mutate({ id: newId(), act: next, text });
  const add = (event: SubmitEvent) => {
    event.preventDefault();
    log.mutate(
      {
        id: newId(),
        act: { kind: 'gearAdded', gearId: newId(), name: name.trim() },
        text: `${name.trim()}: gear added`,
      },
      { onSuccess: () => setName('') },
    );
  };
  return (
    <section className="pt-3">
      <h2 className="mb-1 text-18">Shared gear</h2>
      {view.gear.length === 0 && (
        <p className="text-13 text-muted">
          Net cage, isolation tank, cool room: what two projects may want at once.
        </p>
      )}
      <ul>
        {view.gear.map((gear) => (
          <li key={gear.id} className="border-t border-line py-2">
            <div className="flex items-center gap-2">
              <b className="flex-1 font-display text-15 font-semibold">{gear.name}</b>
              <Button writes onClick={() => setBooking(gear)}>
                Book<span className="sr-only"> {gear.name}</span>
              </Button>
              <Button
                writes
                kind="plain"
                onClick={() => act({ kind: 'gearDropped', gearId: gear.id }, `${gear.name}: dropped`)}
              >
                Drop<span className="sr-only"> {gear.name}</span>
              </Button>
            </div>
            {gear.bookings
              .filter((b) => b.to >= view.tonight)
              .map((b) => (
                <p key={b.id} className="flex items-center gap-2 text-13">
                  <span className="flex-1">
                    {dateRange(b.from, b.to, view.tonight)}: {b.for}
                  </span>
                  <Button
                    writes
                    kind="link"
                    className="text-muted"
                    onClick={() =>
                      act({ kind: 'bookingDropped', bookingId: b.id }, `${gear.name}: ${b.for} given up`)
                    }
                  >
                    give up<span className="sr-only"> {b.for}</span>
                  </Button>
                </p>
              ))}
          </li>
        ))}
      </ul>
      <Writes>
        <form onSubmit={add} className="mt-2 flex items-end gap-2">
          <Field label="Add gear">
            {(p) => (
              <input
                {...p}
                className="field"
                maxLength={80}
                value={name}
                onChange={(e) => setName(e.target.value)}
              />
            )}
          </Field>
          <Button type="submit" disabled={name.trim() === '' || log.isPending}>
            Add
          </Button>
        </form>
      </Writes>
      <FormError>{log.error instanceof Refusal ? log.error.all : undefined}</FormError>
      {booking !== null && (
        <BookingForm gear={booking} night={view.tonight} onClose={() => setBooking(null)} />
      )}
    </section>
  );
}
