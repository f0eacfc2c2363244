import { useState } from 'react';
import { Link } from 'react-router';
import { type AnimalView, Refusal, refusalOf } from '../../api/client';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { usePromote } from '../Nursery/queries';

interface Props {
  animal: AnimalView;
  vials: readonly number[];
  onClose: (done: boolean) => void;
}

/** Those in some vials get records of their own, with parents, dates and instar; their labels can be printed in one run. */
export function PromoteDialog({ animal, vials, onClose }: Props) {
  const promote = usePromote();
  const [name, setName] = useState(animal.details.nickname);
  const [from, setFrom] = useState('');
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [made, setMade] = useState<readonly string[] | null>(null);
  const [asked] = useState(() => vials.map((vial) => ({ entryId: newId(), stockId: newId(), vial })));
  const run = async () => {
    try {
      await promote.mutateAsync({
        broodId: animal.stockId,
        text: `${animal.details.nickname}: ${vials.length} with records of their own`,
        vials: asked.map((v) => ({ ...v, name: `${name.trim()} ${v.vial}`.trim() })),
        ...(from.trim() === '' ? {} : { from: from.trim() }),
      });
      setMade(asked.map((v) => v.stockId));
    } catch (caught) {
      setRefusal(refusalOf(caught));
    }
  };
  return (
    <Dialog
      title={vials.length === 1 ? 'A record of its own' : `Records of their own for ${vials.length}`}
      hint={`Vial${vials.length === 1 ? '' : 's'} ${vials.join(', ')} of ${animal.details.nickname}`}
      onClose={() => onClose(made !== null)}
    >
      {made === null ? (
        <form
          noValidate
          className="grid gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            void run();
          }}
        >
          <TextField
            label="Called"
            hint={`With the number of the vial behind it: ${name.trim()} ${vials[0] ?? ''}`}
            error={refusal?.for('vials[0].party') ?? refusal?.for('vials[0].name')}
            value={name}
            onChange={setName}
          />
          <TextField
            label="Place of the first"
            hint="A1·03 or a1-3; the others follow in free slots. Empty for any free places"
            error={refusal?.for('from')}
            value={from}
            onChange={setFrom}
          />
          <FormError>{refusal?.all}</FormError>
          <div className="flex justify-end gap-2">
            <Button kind="plain" onClick={() => onClose(false)}>
              Cancel
            </Button>
            <Button kind="first" type="submit" disabled={promote.isPending}>
              Begin {vials.length === 1 ? 'its record' : 'their records'}
            </Button>
          </div>
        </form>
      ) : (
        <div>
          <p>Done: parents, dates, instar and what was seen of each went with it.</p>
          <div className="mt-4 flex justify-end gap-2">
            <Link to="/paper/labels" state={{ stockIds: made }} className="act px-3">
              Print {made.length === 1 ? 'its label' : `${made.length} labels`}
            </Link>
            <Button kind="first" onClick={() => onClose(true)}>
              Back to the tray
            </Button>
          </div>
        </div>
      )}
    </Dialog>
  );
}
