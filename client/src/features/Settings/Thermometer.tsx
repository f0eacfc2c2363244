import { type SubmitEvent, useState } from 'react';
import { Refusal } from '../../api/client';
import { useAddReading, useClimate } from '../../api/queries';
import { dayDate } from '../../ui/dates';
import { FormError, TextField } from '../../ui/Field';

/** Temperatures read off by hand: waits are counted by warmth. */
export function Thermometer() {
  const readings = useClimate().data ?? [];
  const add = useAddReading();
  const [celsius, setCelsius] = useState('');
  const [zone, setZone] = useState('');
  const [problem, setProblem] = useState<string>();
  const refusal = add.error instanceof Refusal ? add.error : null;
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    const temperatureC = Number(celsius.replace(',', '.'));
    if (celsius.trim() === '' || !Number.isFinite(temperatureC)) {
      setProblem('Write a number in °C.');
      return;
    }
    setProblem(undefined);
    add.mutate({ temperatureC, relativeHumidity: null, zone }, { onSuccess: () => setCelsius('') });
  };
  return (
    <section aria-labelledby="warmth" className="mx-auto w-full max-w-[760px] px-6 pb-10 max-sm:px-4">
      <h2 id="warmth" className="border-t border-line pt-4 text-22">
        Warmth
      </h2>
      <p className="mt-1 mb-3 max-w-[62ch] text-13 text-muted">
        Animals live faster when it is warm. With temperatures read off every few days the waits for molts and
        pupae are counted by warmth instead of by the calendar.
      </p>
      <form onSubmit={submit} noValidate className="flex flex-wrap items-end gap-4">
        <div className="w-40">
          <TextField
            label="Temperature now, °C"
            inputMode="decimal"
            value={celsius}
            error={problem ?? refusal?.for('temperatureC')}
            onChange={setCelsius}
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
        <button type="submit" className="act px-4" disabled={add.isPending}>
          Write it down
        </button>
      </form>
      <FormError>{refusal?.all}</FormError>
      <ul className="mt-3 flex flex-wrap gap-x-6 gap-y-1 text-13">
        {readings.map((r) => (
          <li key={`${r.at}${r.zone}`}>
            <span className="text-muted">
              {dayDate(r.at.slice(0, 10))} {r.zone}
            </span>{' '}
            <b className="font-semibold">{r.temperatureC} °C</b>
          </li>
        ))}
      </ul>
    </section>
  );
}
