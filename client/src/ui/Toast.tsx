import { Toast as Radix } from 'radix-ui';
import { Check, TriangleAlert } from 'lucide-react';
import { type ReactNode, useEffect, useState } from 'react';

interface ToastProps {
  /** What was done, or why it was not. */
  text: string;
  wrong: boolean;
  seconds: number;
  /** What can be done about it: buttons. */
  children: ReactNode;
  /** Whether the seconds are worth counting, since something can be done while they last. */
  counts: boolean;
  onClose: () => void;
  /** Somebody is at it: the seconds stand still. */
  onHold: () => void;
  onGoOn: () => void;
}

/** Where what was done is said, at the foot of the page; nothing lies over the lines. */
export function ToastPlace({ children }: { children: ReactNode }) {
  return (
    <Radix.Provider label="Done" swipeDirection="right">
      {children}
      <Radix.Viewport hotkey={[]} label="What was just done" className="flex-none" />
    </Radix.Provider>
  );
}

/** One sentence at the foot of the page, for some seconds; read out, and held while somebody is at it. */
export function Toast({ text, wrong, seconds, children, counts, onClose, onHold, onGoOn }: ToastProps) {
  const [left, setLeft] = useState(seconds);
  const [held, setHeld] = useState(false);
  const counting = counts && !held && left > 0;
  useEffect(() => {
    if (!counting) {
      return;
    }
    const timer = setInterval(() => setLeft((s) => s - 1), 1000);
    return () => clearInterval(timer);
  }, [counting]);
  return (
    <Radix.Root
      data-bar=""
      duration={seconds * 1000}
      onOpenChange={(open) => !open && onClose()}
      onPause={() => {
        setHeld(true);
        onHold();
      }}
      onResume={() => {
        setHeld(false);
        onGoOn();
      }}
      className="relative flex min-h-[52px] items-center gap-3 border-t border-edge bg-raised px-6 py-1.5 data-[swipe=move]:translate-x-(--radix-toast-swipe-move-x) max-sm:gap-2 max-sm:px-4"
    >
      {/* The line shrinks with the seconds; the number beside it says the same. */}
      <span
        className={`absolute top-[-1px] left-0 h-0.5 ${wrong ? 'bg-ember' : 'bg-moss'}`}
        style={{ width: `${(left / seconds) * 100}%` }}
      />
      {wrong ? (
        <TriangleAlert className="size-5 flex-none text-ember" aria-hidden="true" />
      ) : (
        <Check className="size-5 flex-none text-moss" aria-hidden="true" />
      )}
      <Radix.Title className="min-w-0 flex-1">{text}</Radix.Title>
      {counts && (
        <span className="text-muted" aria-hidden="true">
          {left} s
        </span>
      )}
      {children}
    </Radix.Root>
  );
}
