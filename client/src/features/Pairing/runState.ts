import { useState } from 'react';
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
function after(run: Run | null, { id, act, corrects }: Body, at: string, waits: boolean): Run | null {
  if (act.kind === 'paired' && act.led === true) {
    // One that goes on is known already.
    return run?.end === null ? run : { at, method: act.method ?? null, seen: [], end: null };
  }
  if (run !== null && act.kind === 'pairingSeen') {
    const former = run.seen.find((m) => m.entryId === corrects);
    const moment: Moment = {
      entryId: id,
      at: former?.at ?? at,
      sight: act.sight,
      minutes: act.minutes ?? null,
      waits,
    };
    return run.seen.some((m) => m.entryId === id)
      ? run
      : { ...run, seen: [...run.seen.filter((m) => m !== former), moment] };
  }
  if (run !== null && act.kind === 'pairingEnded') {
    // Who stays with her goes on being together.
    return act.ending === 'leftIn' ? { ...run, method: 'leftTogether' } : { ...run, end: act.ending };
  }
  return run;
}

/**
 * What the server knows, what it has taken since it was asked, and what waits for it, in one.
 * @param taken Taken by the server, but not in what is known.
 */
export function runOf(
  known: Schemas['RunSheet']['pairing'],
  waiting: readonly Outgoing[],
  id: string,
  taken: readonly Outgoing[] = [],
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
  return [...taken, ...waiting]
    .filter((item) => item.setAside === null && item.about.includes(id))
    .reduce((run, item) => {
      const body = bodyOf(item);
      return body === null ? run : after(run, body, item.tapped, !taken.includes(item));
    }, told);
}

/**
 * The same, followed as it goes. What the server has taken stays in it until the next answer has it, though the server be gone
 * before it can be asked.
 */
export function useRunSoFar(sheet: Schemas['RunSheet'], id: string): Run | null {
  const { items } = useOutbox();
  const [before, setBefore] = useState(items);
  const [taken, setTaken] = useState<readonly { item: Outgoing; since: string }[]>([]);
  if (items !== before) {
    setBefore(items);
    const gone = before.filter((b) => b.setAside === null && !items.some((i) => i.seq === b.seq));
    setTaken([
      ...taken.filter((t) => t.since === sheet.now),
      ...gone.map((item) => ({ item, since: sheet.now })),
    ]);
  }
  return runOf(
    sheet.pairing,
    items,
    id,
    taken.filter((t) => t.since === sheet.now).map((t) => t.item),
  );
}
