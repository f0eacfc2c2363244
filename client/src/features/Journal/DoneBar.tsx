import { useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useRef, useState } from 'react';
import type { Act, Schemas } from '../../api/client';
import { Refusal } from '../../api/client';
import { useLog, useUndo } from '../../api/queries';
import { useLogBatch } from '../../api/roomQueries';
import { newId } from '../../ui/newId';
import { useKeys } from '../../ui/useKeys';
import { Bar, type Message, undoSeconds } from './Bar';
import { type Done, DoneContext, type LogOptions } from './DoneContext';
import { PendingIds } from './pendingIds';

type Taken = Done & { until: number };

/** Logs acts, says what was logged, and takes each of them back on one key or tap for ten seconds. */
export function DoneProvider({ children }: { children: (bar: ReactNode) => ReactNode }) {
  const write = useLog();
  const takeBack = useUndo();
  const batch = useLogBatch();
  const client = useQueryClient();
  const [message, setMessage] = useState<Message | null>(null);
  // What can still be taken back, the newest last: two quick acts are both within reach.
  const stack = useRef<Taken[]>([]);
  const pending = useRef(new PendingIds());
  // What this page has written itself, so that others' acts can be told from its own.
  const own = useRef(new Set<string>());

  const say = (next: Omit<Message, 'since'>) => setMessage({ ...next, since: Date.now() });
  const fresh = () => {
    stack.current = stack.current.filter((done) => done.until > Date.now());
    return stack.current;
  };
  const did = (done: Done) => {
    fresh().push({ ...done, until: Date.now() + undoSeconds * 1000 });
    say({ kind: 'done', text: done.text, done });
  };
  const refused = (error: unknown) =>
    say({ kind: 'refused', text: error instanceof Refusal ? error.all : 'That could not be logged.' });

  const tonight = () => client.getQueryData<Schemas['Nightline']>(['nightline'])?.tonight ?? '';
  /** Sends under ids that are kept while no answer comes. */
  const send = async <T,>(what: string, count: number, go: (ids: readonly string[]) => Promise<T>) => {
    const night = tonight();
    try {
      const ids = pending.current.take(night, what, count);
      ids.forEach((id) => own.current.add(id));
      const answer = await go(ids);
      pending.current.settle(night, what, count);
      return answer;
    } catch (error) {
      // Without an answer nobody knows whether it was written: then the ids are kept for the next try.
      if (!(error instanceof Refusal && error.status === 0)) {
        pending.current.settle(night, what, count);
      }
      throw error;
    }
  };

  const log = (stockId: string, name: string, act: Act, options: LogOptions = {}) =>
    send(JSON.stringify([stockId, act, options]), 1, async ([id = newId()]) => {
      const animal = await write.mutateAsync({ stockId, id, act, ...options });
      const line = animal.journal.find((entry) => entry.id === id);
      did({ text: `${name}: ${line?.text ?? 'logged'}`, entries: [{ stockId, entryId: id, act }] });
    });

  const visit = (stockId: string, name: string, acts: readonly Act[]) =>
    send(JSON.stringify([stockId, acts]), acts.length, async (ids) => {
      const entries = acts.map((act, k) => ({ stockId, act, id: ids[k] ?? newId() }));
      const { texts } = await batch.mutateAsync({ entries, night: null });
      did({
        text: `${name}: ${texts.join(', ')}`,
        entries: entries.map((e) => ({ stockId, entryId: e.id, act: e.act })),
      });
    });

  const logMany = async (
    acts: readonly { stockId: string; act: Act }[],
    text: string,
    night: string | null = null,
  ) => {
    try {
      await send(JSON.stringify([acts, night]), acts.length, async (ids) => {
        const entries = acts.map((a, k) => ({ ...a, id: ids[k] ?? newId() }));
        await batch.mutateAsync({ entries, night });
        did({ text, entries: entries.map((e) => ({ stockId: e.stockId, entryId: e.id, act: e.act })) });
      });
      return true;
    } catch (error) {
      refused(error);
      return false;
    }
  };

  const busy = write.isPending || batch.isPending || takeBack.isPending;
  const undo = () => {
    const last = fresh().at(-1);
    if (last === undefined || busy) {
      return;
    }
    const { entries, text } = last;
    const [only] = entries;
    const after = {
      onSuccess: () => {
        stack.current = stack.current.filter((done) => done !== last);
        const before = fresh().at(-1);
        say({ kind: 'undone', text, ...(before === undefined ? {} : { done: before }) });
      },
      onError: refused,
    };
    if (entries.length === 1 && only !== undefined) {
      takeBack.mutate({ stockId: only.stockId, entryId: only.entryId, id: newId() }, after);
    } else {
      batch.mutate(
        {
          entries: entries.map((e) => ({
            stockId: e.stockId,
            id: newId(),
            act: { kind: 'withdrawn', entryId: e.entryId },
          })),
        },
        after,
      );
    }
  };
  useKeys({ z: undo });

  const control = {
    log,
    quick: (stockId: string, name: string, acts: Act | readonly Act[], options?: LogOptions) => {
      const all = 'kind' in acts ? [acts] : acts;
      const [only] = all;
      if (busy || only === undefined) {
        return;
      }
      (all.length === 1 ? log(stockId, name, only, options) : visit(stockId, name, all)).catch(refused);
    },
    logMany,
    isOwn: (entryId: string) => own.current.has(entryId),
    tell: (text: string) => say({ kind: 'told', text }),
    undo,
    busy,
  };
  return (
    <DoneContext value={control}>
      {children(<Bar key={message?.since} message={message} undo={undo} />)}
    </DoneContext>
  );
}
