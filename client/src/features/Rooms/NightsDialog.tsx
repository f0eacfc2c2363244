import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { shortDate } from '../../ui/dates';
import { Dialog } from '../../ui/Dialog';

interface NightsDialogProps {
  moved: Schemas['NightsMoved'];
  onAgree: () => void;
  onClose: () => void;
}

/** Says which entries would lie on another night, before they do. */
export function NightsDialog({ moved, onAgree, onClose }: NightsDialogProps) {
  const one = moved.moved === 1;
  return (
    <Dialog
      title="Nights would move"
      hint={`${moved.moved.toLocaleString('en')} of ${moved.of.toLocaleString('en')} entries would lie on another night. ${one ? 'It keeps its instant' : 'They keep their instants'}; what is counted by nights is counted anew.`}
      onClose={onClose}
    >
      <ul className="list-disc pl-5">
        {moved.newest.map((entry) => (
          <li key={`${entry.place} ${entry.from} ${entry.name}`}>
            {entry.place} {entry.name}: {shortDate(entry.from)} becomes {shortDate(entry.to)}
          </li>
        ))}
      </ul>
      <div className="mt-4 flex gap-2">
        <Button kind="first" onClick={onAgree}>
          Change it
        </Button>
        <Button onClick={onClose}>Leave it</Button>
      </div>
    </Dialog>
  );
}
