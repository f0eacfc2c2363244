import { Button } from '../../ui/Button';
import { type SubmitEvent, useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { useLogChore } from './queries';
import { Dialog } from '../../ui/Dialog';
import { FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';

/** A chore done: when, and what was found. */
export function DoneForm({
  chore,
  tonight,
  onClose,
}: {
  chore: Schemas['Chore'];
  tonight: string;
  onClose: () => void;
}) {
  const log = useLogChore();
  const [night, setNight] = useState(tonight);
  const [note, setNote] = useState('');
  const refusal = log.error instanceof Refusal ? log.error : null;
  const save = (event: SubmitEvent) => {
    event.preventDefault();
    log.mutate(
      {
        id: newId(),
        act: { kind: 'choreDone', choreId: chore.id, night, note },
        text: `${chore.plan.title}: done`,
      },
      { onSuccess: onClose },
    );
  };
  return (
    <Dialog title={chore.plan.title} onClose={onClose}>
      <form onSubmit={save} className="grid gap-4" noValidate>
        <TextField
          label="Done on the night of"
          type="date"
          max={tonight}
          error={refusal?.for('night')}
          value={night}
          onChange={setNight}
        />
        <TextField
          label={
            chore.plan.kind === 'calibration' ? 'What it read, and what it should have' : 'What was found'
          }
          hint="May stay empty"
          error={refusal?.for('note')}
          value={note}
          onChange={setNote}
        />
        <FormError>{refusal?.all}</FormError>
        <div className="flex justify-end">
          <Button kind="first" type="submit" disabled={log.isPending}>
            Log it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
