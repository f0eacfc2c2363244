import { useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Choice, FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { useLogInLarder } from './queries';

export type LeafAmount = 'fed' | 'bagged' | 'seen';

const title: Record<LeafAmount, string> = {
  fed: 'Leaf fed from it',
  bagged: 'Leaf cut, bagged and chilled',
  seen: 'How much leaf is left',
};

/** So many grams of leaf: fed, put into a bag, or still there. */
export function LeafAmountDialog({
  plant,
  amount,
  onClose,
}: {
  plant: Schemas['PlantView'];
  amount: LeafAmount;
  onClose: () => void;
}) {
  const [grams, setGrams] = useState(
    amount === 'seen' && plant.grams !== null ? String(Math.round(plant.grams)) : '',
  );
  const [washed, setWashed] = useState('yes');
  const log = useLogInLarder();
  const number = Number(grams.trim().replace(',', '.'));
  const bad = grams.trim() === '' || !Number.isFinite(number);
  const act = (): Schemas['LarderAct'] =>
    amount === 'seen'
      ? { kind: 'plantSeen', plantId: plant.id, grams: number }
      : {
          kind: 'plantCut',
          plantId: plant.id,
          grams: number,
          cutId: amount === 'bagged' ? newId() : null,
          isWashed: amount === 'bagged' && washed === 'yes',
        };
  return (
    <Dialog title={`${title[amount]}: ${plant.plant}`} onClose={onClose}>
      <form
        className="grid gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          if (!bad) {
            log.mutate(
              { id: newId(), act: act(), text: `${plant.plant}: ${title[amount].toLowerCase()}` },
              { onSuccess: onClose },
            );
          }
        }}
      >
        <TextField
          label="Leaf, g"
          inputMode="decimal"
          hint="Without stalks; a guess will do"
          value={grams}
          onChange={setGrams}
          autoFocus
        />
        {amount === 'bagged' && (
          <Choice
            label="Washed before it went into the bag"
            options={[
              ['yes', 'Yes'],
              ['no', 'Not yet'],
            ]}
            value={washed}
            onChange={setWashed}
          />
        )}
        <FormError>{log.error instanceof Refusal ? log.error.all : undefined}</FormError>
        <Button kind="first" type="submit" className="justify-center" disabled={bad || log.isPending}>
          Write it down
        </Button>
      </form>
    </Dialog>
  );
}
