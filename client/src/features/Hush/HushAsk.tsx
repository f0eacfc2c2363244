import { Button } from '../../ui/Button';
import type { AnimalView, Schemas } from '../../api/client';
import { Dialog } from '../../ui/Dialog';

interface HushAskProps {
  animal: AnimalView;
  care: Schemas['CareAct'];
  /** What the button says that logs it all the same. */
  happened: string;
  onHappened: () => void;
  onClose: () => void;
}

/** Asks once before something is logged that is hushed: it may have happened, and then it is marked. */
export function HushAsk({ animal, care, happened, onHappened, onClose }: HushAskProps) {
  const line = animal.hush.find((l) => l.act === care);
  return (
    <Dialog title={`${animal.details.nickname} is hushed`} hint={animal.phase.summary} onClose={onClose}>
      <ul className="mb-4 grid gap-2">
        {line?.contributors.map((c) => (
          <li key={c.cause}>
            {c.why.text} <span className="text-13 text-muted">Ends early by: {c.endsEarlyBy}.</span>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap justify-end gap-2">
        <Button
          kind="plain"
          onClick={() => {
            onClose();
            onHappened();
          }}
        >
          {happened}
        </Button>
        <Button kind="first" onClick={onClose}>
          Leave {animal.them} be
        </Button>
      </div>
    </Dialog>
  );
}
