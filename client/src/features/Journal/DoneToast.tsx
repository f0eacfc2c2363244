import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Toast, ToastPlace } from '../../ui/Toast';
import { keyOf } from '../../commands/catalogue';
import { ActDialogFor } from './ActDialogFor';
import type { Done } from './DoneContext';
import { hasForm } from './formKinds';

export const undoSeconds = 10;

export interface Message {
  kind: 'done' | 'undone' | 'told' | 'refused';
  text: string;
  /** What can be taken back. */
  done?: Done;
  /** When it was said. */
  since: number;
}

interface DoneToastProps {
  message: Message | null;
  undo: () => void;
  onClose: () => void;
  onHold: () => void;
  onGoOn: () => void;
}

/** What was logged, with the seconds in which it can be taken back or dated otherwise. */
export function DoneToast({ message, undo, onClose, onHold, onGoOn }: DoneToastProps) {
  const [dating, setDating] = useState<Done['entries'][number] | null>(null);
  const done = message?.done;
  const only = message?.kind === 'done' && done?.entries.length === 1 ? done.entries[0] : undefined;
  return (
    <ToastPlace>
      {message !== null && (
        <Toast
          key={message.since}
          text={message.kind === 'undone' ? `Taken back: ${message.text}` : message.text}
          wrong={message.kind === 'refused'}
          seconds={undoSeconds}
          counts={done !== undefined}
          onClose={onClose}
          onHold={onHold}
          onGoOn={onGoOn}
        >
          {only !== undefined && hasForm(only.act) && (
            <Button kind="plain" onClick={() => setDating(only)}>
              When…
            </Button>
          )}
          {done !== undefined && (
            <Button letter={keyOf('undo')} onClick={undo} aria-label={`Undo ${done.text}`}>
              Undo
            </Button>
          )}
        </Toast>
      )}
      {dating !== null && hasForm(dating.act) && (
        <ActDialogFor
          stockId={dating.stockId}
          kind={dating.act.kind}
          corrects={{ id: dating.entryId, act: dating.act, night: '', notBefore: null }}
          onClose={() => setDating(null)}
        />
      )}
    </ToastPlace>
  );
}
