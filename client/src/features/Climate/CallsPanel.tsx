import { Writes } from '../../ui/Writes';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Check } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { Select } from '../../ui/Select';
import { calls } from './calls';
import { useLogClimate } from './queries';

const hours = Array.from({ length: 24 }, (_, h) => [String(h), `${String(h).padStart(2, '0')}:00`] as const);

/** Whether this device calls alarms out, and the hours in which only a danger is. */
export function CallsPanel({ quiet }: { quiet: Schemas['QuietHours'] }) {
  const [on, setOn] = useState(calls.isOn);
  const log = useLogClimate('button');
  const set = (fromHour: number, toHour: number) =>
    log.mutate({ id: newId(), act: { kind: 'quietHoursSet', fromHour, toHour }, text: 'quiet hours set' });
  return (
    <section aria-labelledby="calls">
      <h2 id="calls" className="text-22">
        Being called
      </h2>
      {calls.canBe() ? (
        <Check
          label="This device calls alarms out while the page is open"
          value={on}
          onChange={(next) => void calls.turn(next).then(setOn)}
        />
      ) : (
        <p className="text-13 text-muted">
          This browser shows no notifications; the round and the tab still tell.
        </p>
      )}
      <Writes>
        <div className="flex flex-wrap items-end gap-3">
          <div className="w-32">
            <Select
              label="Quiet from"
              options={hours}
              value={String(quiet.fromHour)}
              onChange={(h) => set(Number(h), quiet.toHour)}
            />
          </div>
          <div className="w-32">
            <Select
              label="Quiet until"
              options={hours}
              value={String(quiet.toHour)}
              onChange={(h) => set(quiet.fromHour, Number(h))}
            />
          </div>
        </div>
      </Writes>
      <p className="mt-1 max-w-[52ch] text-13 text-muted">
        {quiet.fromHour === quiet.toHour
          ? 'No quiet hours: everything is called out at once.'
          : 'In quiet hours only a danger is called out: heat or cold in which minutes count, air too dry for a molt.'}
      </p>
    </section>
  );
}
