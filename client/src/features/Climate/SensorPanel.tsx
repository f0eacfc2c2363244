import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Check } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { WhyButton } from '../../ui/WhyButton';
import { useWhy } from '../Reasons/WhyContext';
import { AirChart } from './AirChart';
import { tenth, zoneWord } from './airWords';
import { HangForm } from './HangForm';
import { useLogClimate, useSeries } from './queries';
import { SaltCheckTask } from './SaltCheckTask';

const spans = [
  ['1', 'Day'],
  ['7', 'Week'],
  ['30', 'Month'],
  ['366', 'Year'],
  ['1827', '5 years'],
] as const;

const dayMs = 86_400_000;
const tenMinutesMs = 600_000;

/** The chosen sensor: its line, what its air means, and what can be done with it. */
export function SensorPanel({ sensor, now }: { sensor: Schemas['SensorView']; now: string }) {
  const [days, setDays] = useState<string>('7');
  const [others, setOthers] = useState(false);
  const [hanging, setHanging] = useState(false);
  // A chart of ten minutes ago is as good, and asked for once.
  const to = Math.ceil(Date.parse(now) / tenMinutesMs) * tenMinutesMs;
  const series = useSeries(
    new Date(to - Number(days) * dayMs).toISOString(),
    new Date(to).toISOString(),
  ).data;
  const log = useLogClimate('button');
  return (
    <section aria-labelledby="sensor" className="min-w-0">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 id="sensor" className="text-22">
          {sensor.name} <small className="text-15 font-normal text-muted">{zoneWord(sensor.zone)}</small>
        </h2>
        <div role="group" aria-label="How long" className="flex flex-wrap gap-1">
          {spans.map(([value, word]) => (
            <Button
              key={value}
              small
              aria-pressed={value === days}
              className={value === days ? 'font-semibold text-ink' : ''}
              onClick={() => setDays(value)}
            >
              {word}
            </Button>
          ))}
        </div>
      </div>
      {series !== undefined && <AirChart series={series} sensor={sensor} others={others} />}
      <Check label="Draw the other sensors as thin lines" value={others} onChange={setOthers} />
      <dl className="grid grid-cols-4 gap-x-4 gap-y-2 max-sm:grid-cols-2">
        <Figure label="Last 24 hours">{between(sensor.lowC, sensor.highC, '°C')}</Figure>
        <Figure label="Humidity, 24 hours">{between(sensor.lowHumidity, sensor.highHumidity, '%', 0)}</Figure>
        <Figure label="Dew point">
          {sensor.air?.dewPointC == null ? '–' : `${tenth(sensor.air.dewPointC)} °C`}
        </Figure>
        <Figure label="Dries with (deficit)">
          {sensor.air === null ? '–' : `${sensor.air.deficitKPa.toFixed(2)} kPa`}
        </Figure>
      </dl>
      {sensor.air !== null && <AirWhy air={sensor.air} of={sensor.name} />}
      {sensor.air !== null && (
        <ul className="mt-2 text-13 text-soft">
          {sensor.air.says.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ul>
      )}
      <p className="mt-2 text-13 text-muted">
        {sensor.watches === 1
          ? 'The nearest sensor for 1 animal'
          : `The nearest sensor for ${sensor.watches} animals`}
        , by {sensor.gateway} as “{sensor.key}”
        {sensor.corrected === '' ? '' : `; humidity corrected ${sensor.corrected}`}.
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button writes onClick={() => setHanging(true)}>
          {sensor.zone === null ? 'Say where it hangs' : 'Hang it elsewhere'}
        </Button>
        {sensor.salt === null && <SaltCheckTask sensor={sensor} />}
        {sensor.corrected !== '' && (
          <Button
            writes
            kind="plain"
            disabled={log.isPending}
            onClick={() =>
              log.mutate({
                id: newId(),
                act: { kind: 'correctionDropped', sensorId: sensor.id },
                text: `${sensor.name} taken as it is`,
              })
            }
          >
            Take it uncorrected
          </Button>
        )}
        <Button
          writes
          kind="plain"
          disabled={log.isPending}
          onClick={() =>
            log.mutate({
              id: newId(),
              act: { kind: 'sensorRetired', sensorId: sensor.id },
              text: `${sensor.name} put away`,
            })
          }
        >
          Put it away
        </Button>
      </div>
      {sensor.salt !== null && <SaltCheckTask sensor={sensor} />}
      {hanging && <HangForm sensor={sensor} onClose={() => setHanging(false)} />}
    </section>
  );
}

function AirWhy({ air, of }: { air: Schemas['ZoneAir']; of: string }) {
  const { toggle } = useWhy();
  return (
    <p className="mt-1 text-13 text-muted">
      Dew point and deficit are reckoned{' '}
      <WhyButton
        of={`the air at ${of}`}
        onClick={() =>
          toggle({
            title: 'What does this air do?',
            animal: null,
            summary: air.says.join(' '),
            reasons: air.why,
          })
        }
      />
    </p>
  );
}

function between(low: number | null, high: number | null, unit: string, digits = 1): string {
  return low === null || high === null
    ? '–'
    : `${low.toFixed(digits).replace('-', '−')}–${high.toFixed(digits).replace('-', '−')} ${unit}`;
}

function Figure({ label, children }: { label: string; children: string }) {
  return (
    <div>
      <dt className="text-13 text-muted">{label}</dt>
      <dd className="font-semibold">{children}</dd>
    </div>
  );
}
