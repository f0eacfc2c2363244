import { Button } from '../../ui/Button';
import { Check, TriangleAlert } from 'lucide-react';
import { useEffect, useState } from 'react';
import { ActDialogFor } from './ActDialogFor';
import { keyOf } from '../../commands/catalogue';
import { hasForm } from './formKinds';
import type { Done } from './DoneContext';

export const undoSeconds = 10;

export interface Message {
  kind: 'done' | 'undone' | 'told' | 'refused';
  text: string;
  /** What can be taken back. */
  done?: Done;
  /** When it was said. */
  since: number;
}

/** What was logged, with its seconds. They are counted here alone, and only while there are any. */
export function Bar({ message, undo }: { message: Message | null; undo: () => void }) {
  const [left, setLeft] = useState(undoSeconds);
  const [dating, setDating] = useState<Done['entries'][number] | null>(null);
  const counting = message !== null && left > 0;
  useEffect(() => {
    if (!counting) {
      return;
    }
    const timer = setInterval(() => setLeft((s) => s - 1), 1000);
    return () => clearInterval(timer);
  }, [counting]);
  const done = message?.done;
  const only = message?.kind === 'done' && done?.entries.length === 1 ? done.entries[0] : undefined;
  return (
    <div role="status" aria-live="polite" className="contents">
      {message !== null && counting && (
        <div
          data-bar=""
          className="relative flex min-h-[52px] flex-none items-center gap-3 border-t border-edge bg-raised px-6 py-1.5 max-sm:gap-2 max-sm:px-4"
        >
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
            {message.kind === 'undone' ? `Taken back: ${message.text}` : message.text}
          </span>
          {done !== undefined && (
            <>
              <span className="text-muted" aria-hidden="true">
                {left} s
              </span>
              {only !== undefined && hasForm(only.act) && (
                <Button kind="plain" onClick={() => setDating(only)}>
                  When…
                </Button>
              )}
              <Button letter={keyOf('undo')} onClick={undo} aria-label={`Undo ${done.text}`}>
                Undo
              </Button>
            </>
          )}
        </div>
      )}
      {dating !== null && hasForm(dating.act) && (
        <ActDialogFor
          stockId={dating.stockId}
          kind={dating.act.kind}
          corrects={{ id: dating.entryId, act: dating.act, night: '', notBefore: null }}
          onClose={() => setDating(null)}
        />
      )}
    </div>
  );
}
