import { Button } from '../../ui/Button';
import { useState } from 'react';
import { Refusal } from '../../api/client';
import { useFeeders, useLogInLarder } from './queries';
import { Dialog } from '../../ui/Dialog';
import { Choice, FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';

/** Starts a culture, or sets out a pot of pupae. */
export function StartDialog({ onClose }: { onClose: () => void }) {
  const feeders = (useFeeders().data ?? []).filter((f) => f.feeder.culture !== null);
  const [feederId, setFeederId] = useState('fruit-fly-small');
  const [pots, setPots] = useState('1');
  const [age, setAge] = useState('0');
  const log = useLogInLarder();
  const wrong = log.error instanceof Refusal ? log.error.all : undefined;
  const bad = !/^\d{1,3}$/.test(pots.trim());
  return (
    <Dialog title="Start a culture" onClose={onClose}>
      <form
        className="grid gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          log.mutate(
            {
              id: newId(),
              act: {
                kind: 'cultureStarted',
                cultureId: newId(),
                feederId,
                pots: Number(pots),
                ageDays: Number(age.replace(',', '.')),
              },
              text: `${feeders.find((f) => f.feeder.id === feederId)?.feeder.plural ?? 'culture'}: started`,
            },
            { onSuccess: onClose },
          );
        }}
      >
        <Choice
          label="Of"
          options={feeders.map((f): [string, string] => [f.feeder.id, f.feeder.plural])}
          value={feederId}
          onChange={setFeederId}
        />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Pots"
            inputMode="numeric"
            value={pots}
            onChange={setPots}
            error={bad ? 'A number from 1 to 200.' : undefined}
          />
          <TextField
            label="Days it is along already"
            inputMode="numeric"
            hint="0 for a new one"
            value={age}
            onChange={setAge}
          />
        </div>
        <FormError>{wrong}</FormError>
        <Button kind="first" type="submit" className="justify-center" disabled={bad || log.isPending}>
          Started tonight
        </Button>
      </form>
    </Dialog>
  );
}
