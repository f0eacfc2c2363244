import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface DialogProps {
  title: string;
  hint?: ReactNode;
  /** Left out, it cannot be put aside. */
  onClose?: () => void;
  children: ReactNode;
  /** A wider dialog for long forms. */
  wide?: boolean;
  /** Grows while one types: it keeps its upper edge then. */
  grows?: boolean;
}

/** A dialog that is open as long as it is rendered. */
export function Dialog({ title, hint, onClose, children, wide = false, grows = false }: DialogProps) {
  return (
    <Radix.Root open onOpenChange={(open) => !open && onClose?.()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <Radix.Content
          data-modal=""
          onOpenAutoFocus={focusFirstField}
          {...(hint === undefined ? { 'aria-describedby': undefined } : {})}
          className={`fixed z-50 overflow-y-auto outline-none border border-edge bg-bg p-5 max-sm:inset-x-0 max-sm:bottom-0 max-sm:max-h-[92dvh] sm:left-1/2 sm:-translate-x-1/2 sm:rounded-s ${grows ? 'sm:top-[12dvh] sm:max-h-[80dvh]' : 'sm:top-1/2 sm:max-h-[90dvh] sm:-translate-y-1/2'} ${wide ? 'sm:w-[640px]' : 'sm:w-[480px]'}`}
        >
          <header className="mb-3 flex items-start justify-between gap-3">
            <Radix.Title className="text-22">{title}</Radix.Title>
            {onClose !== undefined && (
              <Radix.Close className="-m-2 grid size-11 place-items-center text-muted" aria-label="Close">
                <X className="size-5" />
              </Radix.Close>
            )}
          </header>
          {hint !== undefined && <Radix.Description className="mb-4 text-soft">{hint}</Radix.Description>}
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}

/** The first thing to fill in gets the focus rather than the button that closes; without one the dialog itself does. */
function focusFirstField(event: Event): void {
  const dialog = event.currentTarget;
  if (dialog instanceof HTMLElement) {
    event.preventDefault();
    const field = dialog.querySelector<HTMLElement>(
      'input:not([type=radio]), select, textarea, [data-autofocus]',
    );
    (field ?? dialog).focus();
  }
}
