import { useEffect, useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { localClock, localDay } from '../../ui/dates';
import { useDone } from '../Journal/DoneContext';
import type { Moment, Run } from './runState';

const minuteMs = 60_000;

const meanings: Record<Schemas['SightMeaning'], string> = {
  normal: '',
  mated: 'border-moss! text-mosstext',
  warns: 'border-lampmark! text-lamptext',
  aborts: 'border-ember! text-ember',
  afterwards: '',
};

/** The room's now, told every second while something is timed; ahead of this device by so many milliseconds. */
function useNow(runs: boolean, ahead: number): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!runs) {
      return undefined;
    }
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, [runs]);
  return now + ahead;
}

/** "12:09" under an hour, "1 h 04 min" under two days, then "3 d 5 h". */
export function lasted(ms: number): string {
  const seconds = Math.max(0, Math.floor(ms / 1000));
  const minutes = Math.floor(seconds / 60);
  const two = (n: number) => String(n).padStart(2, '0');
  const hours = Math.floor(minutes / 60);
  return minutes < 60
    ? `${two(minutes)}:${two(seconds % 60)}`
    : hours < 48
      ? `${hours} h ${two(minutes % 60)} min`
      : `${Math.floor(hours / 24)} d ${hours % 24} h`;
}

interface Props {
  id: string;
  sheet: Schemas['RunSheet'];
  run: Run;
  /** By how many milliseconds the room's clock is ahead of this device's. */
  ahead: number;
}

const endings: Record<Schemas['PairingEnding'], string> = {
  maleSafe: 'He is out, unhurt',
  maleInjured: 'He is out, hurt',
  maleEaten: 'She ate him',
  leftIn: 'He stays with her',
};

/** How long they are together; afterwards how it ended. */
export function RunClock({ run, ahead }: { run: Run; ahead: number }) {
  const open = run.end === null;
  const now = useNow(open, ahead);
  return (
    <p className="mt-1 flex items-baseline gap-3" role="timer">
      <span
        className={`font-display font-semibold whitespace-nowrap tabular-nums ${open ? 'text-30' : 'text-18'}`}
      >
        {run.end === null ? lasted(now - Date.parse(run.at)) : endings[run.end]}
      </span>
      <span className="text-13 text-muted">
        together since {localDay(run.at)}, {localClock(run.at)}
      </span>
    </p>
  );
}

/** One tap for what is seen, and what was. */
export function RunSights({ id, sheet, run, ahead }: Props) {
  const open = run.end === null;
  const now = useNow(open, ahead);
  const { quick } = useDone();
  const one = sheet.she.stockId === id ? sheet.she : sheet.he;
  const mate = sheet.she.stockId === id ? sheet.he : sheet.she;
  const see = (sight: Schemas['PairingSight'], label: string, more?: { minutes: number; corrects: string }) =>
    quick(
      id,
      one.name,
      {
        kind: 'pairingSeen',
        sight,
        minutes: more?.minutes ?? null,
        partnerId: mate.stockId,
        partner: mate.stockId === null ? mate.name : null,
      },
      { label: label.toLowerCase(), often: true, corrects: more?.corrects ?? null },
    );
  const words = new Map([...sheet.sights, ...sheet.afterwards].map((w) => [w.sight, w]));
  const last = run.seen.at(-1);
  const remark = last === undefined ? '' : (words.get(last.sight)?.remark ?? '');
  return (
    <>
      {open && (
        <div role="group" aria-label="What is seen" className="my-2 grid grid-cols-2 gap-2 sm:grid-cols-3">
          {sheet.sights.map((w) => (
            <Button
              writes
              key={w.sight}
              className={`min-h-13 ${meanings[w.meaning]}`}
              onClick={() => see(w.sight, w.label)}
            >
              {w.label}
            </Button>
          ))}
        </div>
      )}
      {!open && sheet.afterwards.length > 0 && (
        <div role="group" aria-label="Seen of her afterwards" className="my-2 flex flex-wrap gap-2">
          {sheet.afterwards.map((w) => (
            <Button writes key={w.sight} onClick={() => see(w.sight, w.label)}>
              {w.label}
            </Button>
          ))}
        </div>
      )}
      {open && remark !== '' && <p className="text-soft">{remark}</p>}
      <ol aria-label="What was seen" className="mt-2">
        {run.seen.map((m) => (
          <SeenLine
            key={m.entryId}
            moment={m}
            label={words.get(m.sight)?.label ?? (m.sight === 'newWeb' ? 'New sperm web' : 'No new web')}
            over={
              open && words.get(m.sight)?.meaning === 'mated' && m.minutes === null && !m.waits
                ? () =>
                    see(m.sight, 'its minutes', {
                      minutes: Math.max(1, Math.round((now - Date.parse(m.at)) / minuteMs)),
                      corrects: m.entryId,
                    })
                : null
            }
            now={now}
          />
        ))}
      </ol>
    </>
  );
}

interface SeenProps {
  moment: Moment;
  label: string;
  /** Ends what is timed; none for what is not. */
  over: (() => void) | null;
  now: number;
}

function SeenLine({ moment, label, over, now }: SeenProps) {
  return (
    <li className="flex min-h-11 flex-wrap items-center gap-x-3 border-t border-line py-1">
      <span className="code tabular-nums">{localClock(moment.at)}</span>
      <span>
        {label}
        {moment.minutes !== null && `, ${moment.minutes} min`}
        {moment.waits && <span className="text-13 text-lamptext"> · waits for the server</span>}
      </span>
      {over !== null && (
        <Button writes small onClick={over}>
          Over now ({lasted(now - Date.parse(moment.at))})
        </Button>
      )}
    </li>
  );
}
