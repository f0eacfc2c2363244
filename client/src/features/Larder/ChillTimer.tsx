import { Button } from '../../ui/Button';
import { useEffect, useState } from 'react';
import type { Schemas } from '../../api/client';
import { phaseOf } from './chill';

/** Chilling flies before they are tipped out: from the first look on, with a look every few minutes. */
export function ChillTimer({ bench }: { bench: Schemas['BenchRoutine'] }) {
  const [startedAt, setStartedAt] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (startedAt === null) {
      return;
    }
    const tick = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(tick);
  }, [startedAt]);
  const seconds = startedAt === null ? 0 : Math.max(0, Math.floor((now - startedAt) / 1000));
  const phase = phaseOf(seconds, bench);
  return (
    <section aria-labelledby="bench" className="mt-5">
      <h2 id="bench" className="text-18">
        At the bench
      </h2>
      <p className="text-13 text-soft">
        Flies into a clear lidded cup, the cup into the refrigerator, {bench.chillFromMinutes}–
        {bench.chillToMinutes} minutes, a look every {bench.lookEveryMinutes}. Never straight from the
        culture: mites ride along. Pots with mites last.
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        {startedAt === null ? (
          <Button
            onClick={() => {
              setStartedAt(Date.now());
              setNow(Date.now());
            }}
          >
            Cup is in the cold
          </Button>
        ) : (
          <>
            <span className="font-display text-22 tabular-nums" aria-hidden="true">
              {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')}
            </span>
            <span
              role="status"
              className={
                phase.tooLong ? 'font-semibold text-ember' : phase.look ? 'font-semibold text-lamptext' : ''
              }
            >
              {phase.text}
            </span>
            <Button onClick={() => setStartedAt(null)}>Taken out</Button>
          </>
        )}
      </div>
    </section>
  );
}
