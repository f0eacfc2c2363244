import { type SubmitEvent, useState } from 'react';
import { refusalOf, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { clockTime, dayDate, dayOf } from '../../ui/dates';
import { Dialog } from '../../ui/Dialog';
import { Choice, FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { useLogClimate } from './queries';

const ways = [
  ['one', 'Table salt alone'],
  ['two', 'Table salt, then magnesium chloride'],
] as const;

/** The check of a hygrometer over salt, step by step: begun, waited for, read. */
export function SaltCheckTask({ sensor }: { sensor: Schemas['SensorView'] }) {
  const [open, setOpen] = useState(false);
  if (sensor.salt !== null) {
    return <Lying sensor={sensor} salt={sensor.salt} />;
  }
  return (
    <>
      {sensor.rawHumidity !== null && (
        <Button writes onClick={() => setOpen(true)}>
          Check it over salt
        </Button>
      )}
      {open && <Begin sensor={sensor} onClose={() => setOpen(false)} />}
    </>
  );
}

function Begin({ sensor, onClose }: { sensor: Schemas['SensorView']; onClose: () => void }) {
  const [way, setWay] = useState<'one' | 'two'>('one');
  const log = useLogClimate();
  const refusal = log.error === null ? null : refusalOf(log.error);
  return (
    <Dialog title={`Check ${sensor.name} over salt`} onClose={onClose}>
      <ol className="mb-4 grid list-decimal gap-1 pl-5">
        <li>A bottle cap of salt, wet to a stiff paste: damp sand, no puddle. Salt without iodine.</li>
        <li>Cap and sensor side by side in a tight jar or bag; the sensor touches no salt.</li>
        <li>Close it, stand it where warmth hardly changes, about 25 °C, and leave it overnight.</li>
        <li>
          Read it before you open it. Over table salt the air is at 75.3 %, over magnesium chloride at 32.8 %.
        </li>
      </ol>
      <form
        className="grid gap-4"
        onSubmit={(event: SubmitEvent) => {
          event.preventDefault();
          log.mutate(
            {
              id: newId(),
              act: {
                kind: 'saltCheckBegun',
                sensorId: sensor.id,
                salts: way === 'one' ? ['tableSalt'] : ['tableSalt', 'magnesiumChloride'],
              },
              text: `${sensor.name} lies over salt`,
            },
            { onSuccess: onClose },
          );
        }}
      >
        <Choice label="Over what" options={ways} value={way} onChange={setWay} />
        <p className="text-13 text-muted">
          While it lies there its place is judged by the next sensor out. One salt shifts what it says, two
          also set how much it says too much.
        </p>
        <FormError>{refusal?.all}</FormError>
        <Button type="submit" kind="first" disabled={log.isPending}>
          It is closed in now
        </Button>
      </form>
    </Dialog>
  );
}

function Lying({ sensor, salt }: { sensor: Schemas['SensorView']; salt: Schemas['SaltView'] }) {
  const [reading, setReading] = useState('');
  const log = useLogClimate();
  const refusal = log.error === null ? null : refusalOf(log.error);
  const value = Number(reading.replace(',', '.'));
  return (
    <section
      aria-label={`Check of ${sensor.name} over salt`}
      className="mt-3 rounded-s border-l-4 border-hush bg-panel p-4"
    >
      <p className="font-semibold">
        Over {salt.over}: true is {salt.overPercent} %
        {salt.of > 1 ? `, salt ${salt.done + 1} of ${salt.of}` : ''}
      </p>
      <p className="text-13 text-soft">
        Read it from {dayDate(dayOf(salt.readableFrom))} {clockTime(salt.readableFrom)} on, before the jar is
        opened.
        {sensor.rawHumidity === null ? '' : ` It says ${sensor.rawHumidity} % now.`}
      </p>
      <form
        noValidate
        className="mt-2 flex flex-wrap items-end gap-3"
        onSubmit={(event: SubmitEvent) => {
          event.preventDefault();
          log.mutate(
            {
              id: newId(),
              act: { kind: 'saltChecked', sensorId: sensor.id, reading: value },
              text: `${sensor.name} read over ${salt.over}`,
            },
            { onSuccess: () => setReading('') },
          );
        }}
      >
        <div className="w-48">
          <TextField
            label="It says, %"
            inputMode="decimal"
            value={reading}
            error={refusal?.for('reading')}
            onChange={setReading}
          />
        </div>
        <Button
          type="submit"
          kind="first"
          disabled={log.isPending || reading.trim() === '' || !Number.isFinite(value)}
        >
          Write it down
        </Button>
        <Button
          kind="plain"
          disabled={log.isPending}
          onClick={() =>
            log.mutate({
              id: newId(),
              act: { kind: 'saltCheckDropped', sensorId: sensor.id },
              text: 'check given up',
            })
          }
        >
          Give the check up
        </Button>
      </form>
    </section>
  );
}
