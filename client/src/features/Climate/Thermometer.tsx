import { Writes } from '../../ui/Writes';
import { Button } from '../../ui/Button';
import { type SubmitEvent, useState } from 'react';
import { Refusal } from '../../api/client';
import { useAddReading, useClimate } from './queries';
import { dayDate, dayOf } from '../../ui/dates';
import { FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';

/** Temperatures and humidities read off by hand: waits are counted by warmth, mistings by how dry it is. */
export function Thermometer() {
  const readings = useClimate().data ?? [];
  const add = useAddReading();
  const [celsius, setCelsius] = useState('');
  const [humidity, setHumidity] = useState('');
  const [zone, setZone] = useState('');
  const [problem, setProblem] = useState<{ celsius?: string; humidity?: string }>({});
  const refusal = add.error instanceof Refusal ? add.error : null;
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    const temperatureC = Number(celsius.replace(',', '.'));
    const read = humidity.trim() === '' ? null : Number(humidity.replace(',', '.'));
    if (celsius.trim() === '' || !Number.isFinite(temperatureC)) {
      setProblem({ celsius: 'Write a number in °C.' });
      return;
    }
    if (read !== null && !Number.isFinite(read)) {
      setProblem({ humidity: 'Write a number from 0 to 100, or leave it empty.' });
      return;
    }
    setProblem({});
    add.mutate(
      { id: newId(), temperatureC, relativeHumidity: read, zone },
      {
        onSuccess: () => {
          setCelsius('');
          setHumidity('');
        },
      },
    );
  };
  return (
    <section aria-labelledby="warmth">
      <h2 id="warmth" className="text-22">
        Read off by hand
      </h2>
      <p className="mt-1 mb-3 max-w-[62ch] text-13 text-muted">
        Animals live faster when it is warm. With temperatures read off every few days the waits for molts and
        pupae are counted by warmth instead of by the calendar. A hygrometer read off beside the thermometer
        moves the mistings: sooner in dry air, later in damp air.
      </p>
      <Writes>
        <form onSubmit={submit} noValidate className="flex flex-wrap items-end gap-4">
          <div className="w-40">
            <TextField
              label="Temperature now, °C"
              inputMode="decimal"
              value={celsius}
              error={problem.celsius ?? refusal?.for('temperatureC')}
              onChange={setCelsius}
            />
          </div>
          <div className="w-40">
            <TextField
              label="Humidity, %, if read"
              inputMode="decimal"
              value={humidity}
              error={problem.humidity ?? refusal?.for('relativeHumidity')}
              onChange={setHumidity}
            />
          </div>
          <div className="w-52">
            <TextField
              label="Rack or shelf, if not the room"
              value={zone}
              error={refusal?.for('zone')}
              onChange={setZone}
            />
          </div>
          <Button type="submit" disabled={add.isPending}>
            Write it down
          </Button>
        </form>
      </Writes>
      <FormError>{refusal?.all}</FormError>
      <ul className="mt-3 flex flex-wrap gap-x-6 gap-y-1 text-13">
        {readings.map((r) => (
          <li key={`${r.at}${r.zone}`}>
            <span className="text-muted">
              {dayDate(dayOf(r.at))} {r.zone}
            </span>{' '}
            <b className="font-semibold">
              {r.temperatureC} °C{r.relativeHumidity === null ? '' : `, ${r.relativeHumidity} %`}
            </b>
          </li>
        ))}
      </ul>
    </section>
  );
}
