import { Button } from './Button';
import { Component, type ReactNode } from 'react';
import { Lantern } from './Lantern';

/** What a keeper reads when a page or a dialog cannot be shown, instead of the browser's or the framework's own words. */
export function Trouble({ onClose }: { onClose?: () => void }) {
  return (
    <div className="m-auto max-w-sm p-8 text-center" role="alert">
      <Lantern shutters={3} className="mx-auto mb-3 size-10" />
      <p className="font-display text-18">This page did not open.</p>
      <p className="mt-1 mb-4 text-muted">
        The server may be away, or was updated meanwhile. What you logged is written; nothing is lost.
      </p>
      <div className="flex justify-center gap-2">
        <Button kind="first" onClick={() => window.location.reload()}>
          Load it again
        </Button>
        {onClose !== undefined && <Button onClick={onClose}>Close</Button>}
      </div>
    </div>
  );
}

/** Keeps trouble within the page in which it arises, so that the places and the undo bar stay. */
export class TroubleHere extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError(): { failed: boolean } {
    return { failed: true };
  }

  override render(): ReactNode {
    return this.state.failed ? <Trouble /> : this.props.children;
  }
}
