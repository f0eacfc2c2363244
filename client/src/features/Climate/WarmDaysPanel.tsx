import { useState } from 'react';
import { refusalOf } from '../../api/client';
import { fromDays, shortDate, toDays } from '../../ui/dates';
import { FormError, TextField } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { useWarmDays } from './queries';

const usualBase = '10';
const usualDays = 30;
const wanted = [50, 100, 150, 200, 300, 400];

/** Degree-days of a part of the room: done by what was read, and to come by the season. */
export function WarmDaysPanel({ zones, tonight }: { zones: readonly string[]; tonight: string }) {
  const [zone, setZone] = useState(zones[0] ?? '');
  const [base, setBase] = useState(usualBase);
  const today = toDays(tonight);
  const [from, setFrom] = useState(fromDays(today - usualDays));
  const baseC = Number(base.replace(',', '.'));
  const query = useWarmDays(zone, Number.isFinite(baseC) && base.trim() !== '' ? baseC : 10, from);
  const sum = query.data;
  const ahead =
    sum === undefined
      ? []
      : wanted.flatMap((more) => {
          const day = sum.ahead.findIndex((a) => a >= more);
          return day < 0 ? [] : [[more, day + 1] as const];
        });
  return (
    <section aria-labelledby="warm">
      <h2 id="warm" className="text-22">
        Degree-days
      </h2>
      <p className="max-w-[62ch] text-13 text-muted">
        Warmth above a threshold, added up day by day: for pupae, eggs and larvae whose threshold you know.
      </p>
      <div className="mt-2 grid grid-cols-3 items-end gap-3 max-sm:grid-cols-1">
        <Select
          label="Where"
          options={zones.map((z) => [z, z === '' ? 'the whole room' : z] as const)}
          value={zone}
          onChange={setZone}
        />
        <TextField label="Above, °C" inputMode="decimal" value={base} onChange={setBase} />
        <TextField
          label="Since"
          type="date"
          value={from}
          max={fromDays(today)}
          onChange={(day) => day !== '' && setFrom(day)}
        />
      </div>
      <FormError>{query.error === null ? undefined : refusalOf(query.error).all}</FormError>
      {sum !== undefined && query.error === null && (
        <>
          <p className="mt-3">
            <b className="font-display text-22 font-semibold">{Math.round(sum.done)} °C·d</b>{' '}
            <span className="text-13 text-muted">
              since {shortDate(from)}
              {sum.unread > 0
                ? `; ${sum.unread} of ${today - toDays(from) + 1} days were not read and count for nothing`
                : ''}
            </span>
          </p>
          {ahead.length > 0 && (
            <ul className="mt-1 grid grid-cols-3 gap-x-4 text-13 max-sm:grid-cols-2">
              {ahead.map(([more, days]) => (
                <li key={more} className="border-t border-line py-1">
                  {more} more about {shortDate(fromDays(today + days))}
                </li>
              ))}
            </ul>
          )}
        </>
      )}
    </section>
  );
}
