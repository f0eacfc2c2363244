import { Refusal, refusalOf, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { clockTime, dayOf, shortDate } from '../../ui/dates';
import { Dialog } from '../../ui/Dialog';
import { FormError } from '../../ui/Field';
import { useRestore, useRestorePreview } from './queries';
import { countOf } from './words';

interface RestoreDialogProps {
  copy: Schemas['BackupView'];
  onClose: (isDone: boolean) => void;
}

/** Says what putting a copy back would change, and then does it. */
export function RestoreDialog({ copy, onClose }: RestoreDialogProps) {
  const preview = useRestorePreview(copy.name);
  const restore = useRestore();
  const when = `${shortDate(dayOf(copy.at))}, ${clockTime(copy.at)}`;
  const error = preview.error ?? restore.error;
  return (
    <Dialog title="Put this copy back?" hint={`The copy of ${when}.`} onClose={() => onClose(false)}>
      {preview.data === undefined ? (
        preview.error === null && <p role="status">Looking at what would change…</p>
      ) : (
        <Changes preview={preview.data} />
      )}
      <FormError>
        {error === null ? undefined : error instanceof Refusal ? error.all : refusalOf(error).all}
      </FormError>
      <div className="mt-4 flex gap-2">
        <Button
          kind="first"
          disabled={preview.data === undefined || restore.isPending}
          onClick={() => restore.mutate(copy.name, { onSuccess: () => onClose(true) })}
        >
          {restore.isPending ? 'Putting it back…' : 'Put it back'}
        </Button>
        <Button onClick={() => onClose(false)}>Leave all as it is</Button>
      </div>
    </Dialog>
  );
}

function Changes({ preview }: { preview: Schemas['RestorePreview'] }) {
  const entries = (count: number) => countOf(count, 'entry', 'entries');
  return (
    <ul className="grid list-disc gap-1 pl-5">
      <li>
        It holds {entries(preview.copy.entries)} of {countOf(preview.copy.animals, 'animal', 'animals')}
        {preview.now === null
          ? '. What is there now is damaged, and is set aside.'
          : `; now there are ${entries(preview.now.entries)} of ${countOf(preview.now.animals, 'animal', 'animals')}.`}
      </li>
      {preview.now !== null && (
        <li>
          {preview.lost === 0
            ? 'Nothing that is there now would be missing.'
            : `${entries(preview.lost)} that ${preview.lost === 1 ? 'is' : 'are'} there now would be missing${preview.lostSince === null ? '' : `, from ${shortDate(dayOf(preview.lostSince))}, ${clockTime(preview.lostSince)} on`}.`}
        </li>
      )}
      {preview.found > 0 && <li>{entries(preview.found)} would come back.</li>}
      <li>
        What is there now is copied first, and stands in the list afterwards. Who may come in stays as it is.
      </li>
    </ul>
  );
}
