import { type SubmitEvent, useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { useLogChore } from './queries';

interface BookingProps {
  gear: Schemas['Gear'];
  /** The night that is proposed. */
  night: string;
  /** What it is proposed for. */
  what?: string;
  onClose: () => void;
}

/** Books shared gear for some nights. */
export function BookingForm({ gear, night, what: proposed = '', onClose }: BookingProps) {
  const log = useLogChore();
  const [from, setFrom] = useState(night);
  const [to, setTo] = useState(night);
  const [what, setWhat] = useState(proposed);
  const refusal = log.error instanceof Refusal ? log.error : null;
  const save = (event: SubmitEvent) => {
    event.preventDefault();
    log.mutate(
      {
        id: newId(),
        act: {
          kind: 'gearBooked',
          bookingId: newId(),
          gearId: gear.id,
          from,
          to,
          for: what.trim(),
        },
        text: `${gear.name}: booked for ${what.trim()}`,
      },
      { onSuccess: onClose },
    );
  };
  return (
    <Dialog title={`Book: ${gear.name}`} onClose={onClose}>
      <form onSubmit={save} className="grid gap-4" noValidate>
        <TextField label="What for" error={refusal?.for('for')} value={what} onChange={setWhat} />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="First night"
            type="date"
            error={refusal?.for('from')}
            value={from}
            onChange={setFrom}
          />
          <TextField label="Last night" type="date" error={refusal?.for('to')} value={to} onChange={setTo} />
        </div>
        <FormError>{refusal?.all}</FormError>
        <div className="flex justify-end">
          <Button kind="first" type="submit" disabled={log.isPending}>
            Book it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
