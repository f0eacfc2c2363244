import type { Act, Schemas } from '../../api/client';
import type { Outgoing } from '../../api/outbox';
import { useOutbox } from '../../api/writing';

/** Something seen, as it is known to the server or waits for it. */
export interface Moment {
  entryId: string;
  at: string;
  sight: Schemas['PairingSight'];
  minutes: number | null;
  waits: boolean;
}

/** A pairing as it stands, what waits for the server counted in. */
export interface Run {
  at: string;
  method: Schemas['PairingMethod'];
  seen: readonly Moment[];
  end: Schemas['PairingEnding'] | null;
}

interface Body {
  id: string;
  act: Act;
  corrects?: string | null;
}

const bodyOf = (item: Outgoing): Body | null =>
  item.path.endsWith('/journal') && item.body !== null ? (item.body as Body) : null;

/** One act on top of what is known. */
function after(run: Run | null, { id, act, corrects }: Body, at: string): Run | null {
  if (act.kind === 'paired' && act.led === true) {
    return { at, method: act.method ?? null, seen: [], end: null };
  }
  if (run !== null && act.kind === 'pairingSeen') {
    const former = run.seen.find((m) => m.entryId === corrects);
    const moment: Moment = {
      entryId: id,
      at: former?.at ?? at,
      sight: act.sight,
      minutes: act.minutes ?? null,
      waits: true,
    };
    return { ...run, seen: [...run.seen.filter((m) => m !== former), moment] };
  }
  return run !== null && act.kind === 'pairingEnded' ? { ...run, end: act.ending } : run;
}

/** What the server knows, and what waits for it, in one. */
export function runOf(
  known: Schemas['RunSheet']['pairing'],
  waiting: readonly Outgoing[],
  id: string,
): Run | null {
  const told: Run | null =
    known === null || !known.led
      ? null
      : {
          at: known.at,
          method: known.method,
          seen: known.seen.map((m) => ({ ...m, waits: false })),
          end: known.end?.how ?? null,
        };
  return waiting
    .filter((item) => item.setAside === null && item.about.includes(id))
    .reduce((run, item) => {
      const body = bodyOf(item);
      return body === null ? run : after(run, body, item.tapped);
    }, told);
}

/** The same, followed as it goes. */
export function useRunSoFar(known: Schemas['RunSheet']['pairing'], id: string): Run | null {
  return runOf(known, useOutbox().items, id);
}
