import { Component, type ReactNode, Suspense } from 'react';
import { Button } from './Button';
import { Dialog } from './Dialog';
import { Lantern } from './Lantern';

const why = 'The server may be away, or was updated meanwhile. What you logged is kept; nothing is lost.';

function LoadAgain() {
  return (
    <Button kind="first" onClick={() => window.location.reload()}>
      Load it again
    </Button>
  );
}

/** What a keeper reads when a page cannot be shown, instead of the browser's or the framework's own words. */
export function Trouble() {
  return (
    <div className="m-auto max-w-sm p-8 text-center" role="alert">
      <Lantern shutters={3} className="mx-auto mb-3 size-10" />
      <p className="font-display text-18">This page did not open.</p>
      <p className="mt-1 mb-4 text-muted">{why}</p>
      <LoadAgain />
    </div>
  );
}

/** Shows something else in the place of what cannot be shown. */
class Instead extends Component<{ children: ReactNode; of: ReactNode }, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError(): { failed: boolean } {
    return { failed: true };
  }

  override render(): ReactNode {
    return this.state.failed ? this.props.of : this.props.children;
  }
}

/** Keeps trouble within the page in which it arises, so that the places and the undo bar stay. */
export function TroubleHere({ children }: { children: ReactNode }) {
  return <Instead of={<Trouble />}>{children}</Instead>;
}

/** What is fetched when it is opened over a page: where that fails, the page stays as it is. */
export function Opening({ onClose, children }: { onClose: () => void; children: ReactNode }) {
  const trouble = (
    <Dialog title="That did not open" hint={why} onClose={onClose}>
      <div className="flex justify-end gap-2">
        <Button kind="plain" onClick={onClose}>
          Close
        </Button>
        <LoadAgain />
      </div>
    </Dialog>
  );
  return (
    <Instead of={trouble}>
      <Suspense>{children}</Suspense>
    </Instead>
  );
}
