import { useState } from 'react';
import type { AnimalView, Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Select } from '../../ui/Select';
import { useDone } from '../Journal/DoneContext';
import { causes } from '../Records/causes';

interface Props {
  animal: AnimalView;
  vials: readonly number[];
  onClose: (done: boolean) => void;
}

/** Those in some vials died: of what, from one list. */
export function LossDialog({ animal, vials, onClose }: Props) {
  const { logMany, busy } = useDone();
  const [cause, setCause] = useState<NonNullable<Schemas['LossCause']>>('unexplained');
  const log = async () => {
    const acts = vials.map((vial) => ({
      stockId: animal.stockId,
      act: { kind: 'departed', departure: 'died', remark: null, cause, vial } as const,
    }));
    const many = vials.length === 1 ? '1 died' : `${vials.length} died`;
    if (await logMany(acts, `${animal.details.nickname}: ${many}`)) {
      onClose(true);
    }
  };
  return (
    <Dialog
      title={vials.length === 1 ? 'One died' : `${vials.length} died`}
      hint={`Vial${vials.length === 1 ? '' : 's'} ${vials.join(', ')} of ${animal.details.nickname}`}
      onClose={() => onClose(false)}
    >
      <Select label="Of what" options={causes} value={cause} onChange={setCause} />
      <p className="mt-2 text-13 text-muted">
        Their numbers are not given anew; the vials are empty from now on.
      </p>
      <div className="mt-4 flex justify-end gap-2">
        <Button kind="plain" onClick={() => onClose(false)}>
          Cancel
        </Button>
        <Button kind="first" disabled={busy} onClick={() => void log()}>
          Log it
        </Button>
      </div>
    </Dialog>
  );
}
