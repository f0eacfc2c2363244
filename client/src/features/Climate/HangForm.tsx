import { type SubmitEvent, useState } from 'react';
import { refusalOf } from '../../api/client';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Check, FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { useLogClimate } from './queries';

/** Where a sensor hangs from now on, and what it is called. */
export function HangForm({ sensor, onClose }: { sensor: Schemas['SensorView']; onClose: () => void }) {
  const [name, setName] = useState(sensor.name);
  const [zone, setZone] = useState(sensor.zone ?? '');
  const [nowhere, setNowhere] = useState(false);
  const log = useLogClimate();
  const refusal = log.error === null ? null : refusalOf(log.error);
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    log.mutate(
      {
        id: newId(),
        act: {
          kind: 'sensorPlaced',
          sensorId: sensor.id,
          name,
          zone: nowhere ? null : zone.trim().toUpperCase(),
        },
        text: `${name} hung up`,
      },
      { onSuccess: onClose },
    );
  };
  return (
    <Dialog
      title={`Where does ${sensor.name} hang?`}
      hint="Everything in that rack, on that shelf or at that place is judged by it. In a box of its own, write its place."
      onClose={onClose}
    >
      <form onSubmit={submit} noValidate className="grid gap-4">
        <TextField label="Name" value={name} error={refusal?.for('name')} onChange={setName} />
        {!nowhere && (
          <TextField
            label="Rack, shelf or place; empty for the whole room"
            value={zone}
            hint="B, B2 or B2·03"
            error={refusal?.for('zone')}
            onChange={setZone}
          />
        )}
        <Check label="It hangs nowhere: leave it out" value={nowhere} onChange={setNowhere} />
        <FormError>{refusal?.all}</FormError>
        <Button type="submit" kind="first" disabled={log.isPending}>
          Write it down
        </Button>
      </form>
    </Dialog>
  );
}
