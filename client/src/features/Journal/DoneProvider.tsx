import { type ReactNode, useEffect, useEffectEvent, useRef, useState } from 'react';
import { type Act, refusalOf } from '../../api/client';
import { failures } from '../../api/failures';
import { useLog, useLogBatch, useUndo } from './queries';
import { outbox } from '../../api/writing';
import { newId } from '../../ui/newId';
import { useCommands } from '../../commands/useCommands';
import { DoneToast, type Message, undoSeconds } from './DoneToast';
import { type Done, DoneContext, type LogOptions } from './DoneContext';

type Taken = Done & { until: number; takeBack?: () => void };

/** What the bar says of something that the server has not answered yet. */
const waits = (text: string) => `${text} (waits for the server)`;

/** Logs acts, says what was logged, and takes each of them back on one key or tap for ten seconds. */
export function DoneProvider({ children }: { children: (bar: ReactNode) => ReactNode }) {
  const write = useLog(false);
  const writeInForm = useLog(true);
  const takeBack = useUndo();
  const batch = useLogBatch();
  const [message, setMessage] = useState<Message | null>(null);
  // What can still be taken back, the newest last: two quick acts are both within reach.
  const stack = useRef<Taken[]>([]);
  // What this page has written itself, so that others' acts can be told from its own.
  const own = useRef(new Set<string>());
  // Animals of which something is being written: a second press on the same line counts for nothing, one on another does.
  const [writing, setWriting] = useState<ReadonlySet<string>>(new Set());
  const held = useRef(new Set<string>());

  // Since when somebody is at the bar: what it offers stays within reach as long.
  const heldSince = useRef<number | null>(null);
  const hold = () => {
    heldSince.current ??= Date.now();
  };
  const goOn = () => {
    const more = heldSince.current === null ? 0 : Date.now() - heldSince.current;
    heldSince.current = null;
    stack.current = stack.current.map((done) => ({ ...done, until: done.until + more }));
  };

  const say = (next: Omit<Message, 'since'>) => setMessage({ ...next, since: Date.now() });
  const fresh = () => {
    stack.current = stack.current.filter((done) => done.until > (heldSince.current ?? Date.now()));
    return stack.current;
  };
  const did = (done: Done) => {
    fresh().push({ ...done, until: Date.now() + undoSeconds * 1000 });
    say({ kind: 'done', text: done.text, done });
  };
  const refused = (error: unknown) => say({ kind: 'refused', text: refusalOf(error).all });
  // What goes wrong where nobody shows it is said here.
  const failed = useEffectEvent((text: string) => say({ kind: 'refused', text }));
  useEffect(() => failures.listen((text) => failed(text)), []);
  /** An id of an entry of our own. */
  const ownId = () => {
    const id = newId();
    own.current.add(id);
    return id;
  };
  const holding = async (stockIds: readonly string[], go: () => Promise<void>) => {
    stockIds.forEach((id) => held.current.add(id));
    setWriting(new Set(held.current));
    try {
      await go();
    } finally {
      stockIds.forEach((id) => held.current.delete(id));
      setWriting(new Set(held.current));
    }
  };

  const log = (stockId: string, name: string, act: Act, options: LogOptions) =>
    holding([stockId], async () => {
      const { label, shows = true, foundOn = null, lastSeenBefore = null, corrects = null } = options;
      const id = ownId();
      const text = `${name}: ${label}`;
      const animal = await (shows ? writeInForm : write).mutateAsync({
        stockId,
        id,
        act,
        text,
        foundOn,
        lastSeenBefore,
        corrects,
      });
      const line = animal?.journal.find((entry) => entry.id === id);
      did({
        text: animal === null ? waits(text) : `${name}: ${line?.text ?? label}`,
        entries: [{ stockId, entryId: id, act }],
      });
    });

  const visit = (stockId: string, name: string, acts: readonly Act[], label: string) =>
    holding([stockId], async () => {
      const entries = acts.map((act) => ({ stockId, act, id: ownId() }));
      const text = `${name}: ${label}`;
      const written = await batch.mutateAsync({ entries, night: null, text });
      did({
        text: written === null ? waits(text) : `${name}: ${written.texts.join(', ')}`,
        entries: entries.map((e) => ({ stockId, entryId: e.id, act: e.act })),
      });
    });

  const logMany = async (
    acts: readonly { stockId: string; act: Act }[],
    text: string,
    night: string | null = null,
  ) => {
    try {
      await holding(
        acts.map((a) => a.stockId),
        async () => {
          const entries = acts.map((a) => ({ ...a, id: ownId() }));
          const written = await batch.mutateAsync({ entries, night, text });
          did({
            text: written === null ? waits(text) : text,
            entries: entries.map((e) => ({ stockId: e.stockId, entryId: e.id, act: e.act })),
          });
        },
      );
      return true;
    } catch (error) {
      refused(error);
      return false;
    }
  };

  const undo = async () => {
    const last = fresh().at(-1);
    if (last === undefined || last.entries.some((e) => held.current.has(e.stockId))) {
      return;
    }
    const { entries, text, takeBack: ofItsOwn } = last;
    if (ofItsOwn !== undefined) {
      stack.current = stack.current.filter((done) => done !== last);
      ofItsOwn();
      return;
    }
    const [only] = entries;
    const stockIds = entries.map((e) => e.stockId);
    try {
      await holding(stockIds, async () => {
        // What was not sent yet never happened.
        if (await outbox.recall(entries.map((e) => e.entryId))) {
          return;
        }
        const back = `Taken back: ${text}`;
        if (entries.length === 1 && only !== undefined) {
          await takeBack.mutateAsync({
            stockId: only.stockId,
            entryId: only.entryId,
            id: ownId(),
            text: back,
          });
        } else {
          await batch.mutateAsync({
            entries: entries.map((e) => ({
              stockId: e.stockId,
              id: ownId(),
              act: { kind: 'withdrawn', entryId: e.entryId },
            })),
            text: back,
          });
        }
      });
      stack.current = stack.current.filter((done) => done !== last);
      const before = fresh().at(-1);
      say({ kind: 'undone', text, ...(before === undefined ? {} : { done: before }) });
    } catch (error) {
      refused(error);
    }
  };
  useCommands([{ id: 'undo', run: () => void undo() }]);

  const control = {
    log,
    quick: (stockId: string, name: string, acts: Act | readonly Act[], options: LogOptions) => {
      const all = 'kind' in acts ? [acts] : acts;
      const [only] = all;
      if ((held.current.has(stockId) && options.often !== true) || only === undefined) {
        return;
      }
      (all.length === 1
        ? log(stockId, name, only, { shows: false, ...options })
        : visit(stockId, name, all, options.label)
      ).catch(refused);
    },
    logMany,
    isOwn: (entryId: string) => own.current.has(entryId),
    offerUndo: (text: string, ofItsOwn: () => void) => {
      const done: Done = { text, entries: [] };
      fresh().push({ ...done, until: Date.now() + undoSeconds * 1000, takeBack: ofItsOwn });
      say({ kind: 'done', text, done });
    },
    tell: (text: string) => say({ kind: 'told', text }),
    undo: () => void undo(),
    busy: writing.size > 0,
    isBusy: (stockId: string) => writing.has(stockId),
  };
  return (
    <DoneContext value={control}>
      {children(
        <DoneToast
          message={message}
          undo={() => void undo()}
          onClose={() => setMessage(null)}
          onHold={hold}
          onGoOn={goOn}
        />,
      )}
    </DoneContext>
  );
}
