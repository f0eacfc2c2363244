import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { FilePick } from '../../ui/FilePick';

interface Props {
  label: string;
  hint: string;
  text: string;
  /** Whether it was read: then the box stands back behind what was understood. */
  wasRead: boolean;
  onText: (text: string) => void;
  /** Reads it at once: it was pasted whole, dropped, chosen as a file, or asked for. */
  onRead: (text: string) => void;
}

/** Where a table or a list from outside comes in: pasted, dropped, typed or from a file. */
export function PasteBox({ label, hint, text, wasRead, onText, onRead }: Props) {
  return (
    <div
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        const [file] = event.dataTransfer.files;
        if (file !== undefined) {
          event.preventDefault();
          void file.text().then(onRead);
        }
      }}
    >
      <Field label={label} hint={hint}>
        {(field) => (
          <textarea
            {...field}
            data-autofocus=""
            rows={wasRead ? 3 : 8}
            className="field font-text"
            value={text}
            onChange={(event) => onText(event.target.value)}
            onPaste={(event) => {
              const pasted = event.clipboardData.getData('text/plain');
              if (text === '' && pasted.includes('\n')) {
                event.preventDefault();
                onRead(pasted);
              }
            }}
          />
        )}
      </Field>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button kind="first" disabled={text.trim() === ''} onClick={() => onRead(text)}>
          Read it
        </Button>
        <FilePick accept=".csv,.tsv,.txt,text/*" onPick={(file) => void file.text().then(onRead)}>
          Choose a file
        </FilePick>
      </div>
    </div>
  );
}
