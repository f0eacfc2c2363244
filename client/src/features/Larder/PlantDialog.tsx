import { useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Choice, FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { Select } from '../../ui/Select';
import { useLogInLarder } from './queries';

const another = 'another';

/** A number as typed; nothing when empty, not a number when unreadable. */
const numberOf = (text: string): number | null =>
  text.trim() === '' ? null : Number(text.trim().replace(',', '.'));

/** A pot, cut leaf, or a place outside where a food plant grows. */
export function PlantDialog({ hosts, onClose }: { hosts: readonly string[]; onClose: () => void }) {
  const [chosen, setChosen] = useState(hosts[0] ?? another);
  const [name, setName] = useState('');
  const [form, setForm] = useState<Schemas['PlantForm']>('pot');
  const [leaf, setLeaf] = useState<Schemas['LeafKind']>('woody');
  const [grams, setGrams] = useState('');
  const [regrowth, setRegrowth] = useState('');
  const [water, setWater] = useState('');
  const [washed, setWashed] = useState('yes');
  const [where, setWhere] = useState('');
  const log = useLogInLarder();
  const plant = chosen === another ? name.trim() : chosen;
  const numbers = [numberOf(grams), numberOf(regrowth), numberOf(water)];
  const bad = plant === '' || numbers.some(Number.isNaN) || (form !== 'site' && numbers[0] === null);
  return (
    <Dialog title="A food plant" onClose={onClose}>
      <form
        className="grid gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          if (bad) {
            return;
          }
          log.mutate(
            {
              id: newId(),
              act: {
                kind: 'plantAdded',
                plantId: newId(),
                plant,
                form,
                leaf,
                grams: form === 'site' ? 0 : (numbers[0] ?? 0),
                regrowthGPerWeek: form === 'pot' ? (numbers[1] ?? null) : null,
                waterEveryDays: form === 'pot' ? (numbers[2] ?? null) : null,
                isWashed: form === 'cut' && washed === 'yes',
                where: where.trim() === '' ? null : where.trim(),
              },
              text: `${plant}: a food plant`,
            },
            { onSuccess: onClose },
          );
        }}
      >
        <Select
          label="Plant"
          options={[...hosts.map((h) => [h, h] as const), [another, 'another plant']]}
          value={chosen}
          onChange={setChosen}
        />
        {chosen === another && <TextField label="Its name" value={name} onChange={setName} />}
        <Choice
          label="In what form"
          options={[
            ['pot', 'A pot'],
            ['cut', 'Cut and chilled'],
            ['site', 'Grows outside'],
          ]}
          value={form}
          onChange={setForm}
        />
        <Choice
          label="Leaf"
          options={[
            ['soft', 'Soft: wilts in a day'],
            ['woody', 'Woody: keeps for days'],
          ]}
          value={leaf}
          onChange={setLeaf}
        />
        {form !== 'site' && (
          <TextField
            label="Leaf on it, g"
            inputMode="decimal"
            hint="Without stalks; a guess will do"
            value={grams}
            onChange={setGrams}
          />
        )}
        {form === 'pot' && (
          <div className="grid grid-cols-2 gap-3">
            <TextField
              label="Grows again, g a week"
              inputMode="decimal"
              hint="Empty: by the rulebook"
              value={regrowth}
              onChange={setRegrowth}
            />
            <TextField
              label="Water every, days"
              inputMode="decimal"
              hint="Empty: by the rulebook"
              value={water}
              onChange={setWater}
            />
          </div>
        )}
        {form === 'cut' && (
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
        <TextField
          label="Where"
          hint="On the sill, behind the net loft; unsprayed, and not from the roadside"
          value={where}
          onChange={setWhere}
        />
        <FormError>{log.error instanceof Refusal ? log.error.all : undefined}</FormError>
        <Button kind="first" type="submit" className="justify-center" disabled={bad || log.isPending}>
          Write it down
        </Button>
      </form>
    </Dialog>
  );
}
