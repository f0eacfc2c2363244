import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Waiting } from '../../ui/Waiting';
import { useWarmthHelps } from './queries';

/** Whether counting by warmth made the forecasts better, scored with and without. */
export function WarmthHelps({ waits }: { waits: Schemas['HonestyView']['waits'] }) {
  const [asked, setAsked] = useState(false);
  const query = useWarmthHelps(asked);
  return (
    <section aria-labelledby="warmth-helps" className="mt-6 border-t border-line pt-3">
      <h2 id="warmth-helps" className="text-18">
        Does warmth help?
      </h2>
      <p className="mb-2 max-w-[76ch] text-muted">
        Waits are counted by the warmth that was read. The same journal gone through by the calendar alone
        shows what that is worth here.
      </p>
      {!asked && <Button onClick={() => setAsked(true)}>Score it both ways</Button>}
      {asked && (
        <Waiting query={query} what="The second reckoning">
          {(lines) =>
            lines.length === 0 ? (
              <p className="text-muted">Nothing has come to its end yet.</p>
            ) : (
              <ul className="grid max-w-[720px] text-13">
                {lines.map((line) => (
                  <li
                    key={line.vigil}
                    className="flex flex-wrap justify-between gap-x-4 border-t border-line py-1.5"
                  >
                    <span>
                      <b className="font-semibold">{waits[line.vigil]?.many ?? line.vigil}</b>{' '}
                      <span className="text-muted">{line.forecasts} forecasts</span>
                    </span>
                    <span>
                      loss {line.pinballWith.toFixed(2)} days by warmth, {line.pinballWithout.toFixed(2)} by
                      the calendar. {line.says}
                    </span>
                  </li>
                ))}
              </ul>
            )
          }
        </Waiting>
      )}
    </section>
  );
}
