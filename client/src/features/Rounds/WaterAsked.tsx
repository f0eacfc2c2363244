import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { fromDays, shortDate, toDays } from '../../ui/dates';
import { useDone } from '../Journal/DoneContext';

/** In a new room: when was all watered? Asked once, instead of a line for each enclosure. */
export function WaterAsked({ unknown, night }: { unknown: Schemas['WaterUnknown'][]; night: string }) {
  const { logMany, busy } = useDone();
  const [on, setOn] = useState('');
  const log = (when: string) =>
    void logMany(
      unknown.flatMap((u) => u.acts.map((act) => ({ stockId: u.stockId, act }))),
      `Watered ${when === night ? 'tonight' : shortDate(when, night)}: ${unknown.length} enclosures`,
      when,
    );
  const ago = (nights: number) => fromDays(toDays(night) - nights);
  return (
    <section
      aria-label="Water of a new room"
      className="mx-6 mb-3 border-l-2 border-lampmark bg-raised px-4 py-3 max-sm:mx-4"
    >
      <h2 className="text-18">When was all watered?</h2>
      <p className="text-13 text-muted">
        No water is on record for {unknown.length} enclosures. Once it is, each gets its own clock.
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {[
          ['Tonight', 0],
          ['Last night', 1],
          ['Two nights ago', 2],
        ].map(([word, nights]) => (
          <Button key={word} disabled={busy} onClick={() => log(ago(Number(nights)))}>
            {word}
          </Button>
        ))}
        <label className="flex items-center gap-2 text-13">
          or on
          <input
            type="date"
            className="field w-40"
            max={night}
            value={on}
            onChange={(e) => setOn(e.target.value)}
          />
        </label>
        <Button kind="plain" disabled={busy || on === ''} onClick={() => log(on)}>
          Write it down
        </Button>
      </div>
    </section>
  );
}
