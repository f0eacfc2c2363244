import { Check, TriangleAlert } from 'lucide-react';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import type { Act } from '../../api/client';
import { Refusal } from '../../api/client';
import { useLog, useUndo } from '../../api/queries';
import { useLogBatch } from '../../api/roomQueries';
import { useKeys } from '../../ui/useKeys';
import { type Done, DoneContext, type LogOptions } from './DoneContext';

const undoSeconds = 10;

type Message =
  { kind: 'done'; done: Done } | { kind: 'undone'; text: string } | { kind: 'refused'; text: string };

/** Logs acts, says what was logged, and takes it back on one key or tap for ten seconds. */
export function DoneProvider({ children }: { children: (bar: ReactNode) => ReactNode }) {
  const write = useLog();
  const takeBack = useUndo();
  const batch = useLogBatch();
  const [message, setMessage] = useState<Message | null>(null);
  const [left, setLeft] = useState(0);
  // One id per act until it is written, so that a second tap on a slow line sends the same entry again.
  const pending = useRef(new Map<string, string>());

  useEffect(() => {
    if (message === null) {
      return;
    }
    const timer = setInterval(() => setLeft((s) => s - 1), 1000);
    return () => clearInterval(timer);
  }, [message]);
  const shown = left > 0 ? message : null;

  const say = (next: Message) => {
    setMessage(next);
    setLeft(undoSeconds);
  };

  const log = async (stockId: string, name: string, act: Act, options: LogOptions = {}) => {
    const key = JSON.stringify([stockId, act, options]);
    const id = pending.current.get(key) ?? crypto.randomUUID();
    pending.current.set(key, id);
    const animal = await write.mutateAsync({ stockId, id, act, ...options });
    pending.current.delete(key);
    const line = animal.journal.find((entry) => entry.id === id);
    say({
      kind: 'done',
      done: { text: `${name}: ${line?.text ?? 'logged'}`, entries: [{ stockId, entryId: id }] },
    });
  };

  const logMany = async (
    acts: readonly { stockId: string; act: Act }[],
    text: string,
    night: string | null = null,
  ) => {
    const entries = acts.map((a) => ({ ...a, id: crypto.randomUUID() }));
    try {
      await batch.mutateAsync({ entries, night });
      const written = entries.map((e) => ({ stockId: e.stockId, entryId: e.id }));
      say({ kind: 'done', done: { text, entries: written } });
      return true;
    } catch (error) {
      refused(error);
      return false;
    }
  };

  const refused = (error: unknown) =>
    say({ kind: 'refused', text: error instanceof Refusal ? error.all : 'That could not be logged.' });

  const undo = () => {
    if (shown?.kind !== 'done' || takeBack.isPending || batch.isPending) {
      return;
    }
    const { entries, text } = shown.done;
    const [only] = entries;
    const after = { onSuccess: () => say({ kind: 'undone', text }), onError: refused };
    if (entries.length === 1 && only !== undefined) {
      takeBack.mutate({ ...only, id: crypto.randomUUID() }, after);
    } else {
      batch.mutate(
        {
          entries: entries.map((e) => ({
            stockId: e.stockId,
            id: crypto.randomUUID(),
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
    quick: (stockId: string, name: string, act: Act, options?: LogOptions) => {
      if (!write.isPending) {
        log(stockId, name, act, options).catch(refused);
      }
    },
    logMany,
    undo,
    busy: write.isPending || batch.isPending,
  };
  return (
    <DoneContext value={control}>{children(<Bar message={shown} left={left} undo={undo} />)}</DoneContext>
  );
}

function Bar({ message, left, undo }: { message: Message | null; left: number; undo: () => void }) {
  return (
    <div role="status" aria-live="polite" className="contents">
      {message !== null && (
        <div className="relative flex min-h-[52px] flex-none items-center gap-3 border-t border-edge bg-raised px-6 py-1.5 max-sm:px-4">
          {/* The line shrinks with the seconds; the number beside it says the same. */}
          <span
            className={`absolute top-[-1px] left-0 h-0.5 ${message.kind === 'refused' ? 'bg-ember' : 'bg-moss'}`}
            style={{ width: `${left * 10}%` }}
          />
          {message.kind === 'refused' ? (
            <TriangleAlert className="size-5 flex-none text-ember" aria-hidden="true" />
          ) : (
            <Check className="size-5 flex-none text-moss" aria-hidden="true" />
          )}
          <span className="min-w-0 flex-1">
            {message.kind === 'done'
              ? message.done.text
              : message.kind === 'undone'
                ? `Taken back: ${message.text}`
                : message.text}
          </span>
          {message.kind === 'done' && (
            <>
              <span className="text-muted" aria-hidden="true">
                {left} s
              </span>
              <button type="button" className="act" onClick={undo}>
                <kbd>Z</kbd>Undo
              </button>
            </>
          )}
        </div>
      )}
    </div>
  );
}
