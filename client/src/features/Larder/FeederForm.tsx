import { Button } from '../../ui/Button';
import { useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { useSetFeeder } from './queries';
import { useSettings } from '../Rooms/queries';
import { Dialog } from '../../ui/Dialog';
import { Check, FormError, TextField } from '../../ui/Field';
import { fromMm, toMm } from '../../ui/lengths';
import { idOf, traitWord } from './feederWords';

type FeederView = Schemas['FeederView'];
type Trait = Schemas['FeederTrait'];

interface SizeDraft {
  name: string;
  from: string;
  to: string;
}

/** A feeder of the keeper's own: what it is called, how long it is, what it does. */
export function FeederForm({ former, onClose }: { former: FeederView | null; onClose: () => void }) {
  const unit = useSettings().data?.settings.unit ?? 'mm';
  const f = former?.feeder;
  const [name, setName] = useState(f?.name ?? '');
  const [plural, setPlural] = useState(f?.plural ?? '');
  const [keeps, setKeeps] = useState(String(f?.keepsDays.value ?? 21));
  const [serving, setServing] = useState(f?.serving ?? '');
  const [fatty, setFatty] = useState(f?.fatty ?? false);
  const [canBeCut, setCanBeCut] = useState(f?.canBeCut ?? true);
  const [traits, setTraits] = useState<readonly Trait[]>(f?.traits ?? []);
  const [sizes, setSizes] = useState<SizeDraft[]>(
    f?.classes.map((c) => ({
      name: c.name,
      from: c.lengthMm === null ? '' : fromMm(c.lengthMm.value.low, unit),
      to: c.lengthMm === null ? '' : fromMm(c.lengthMm.value.high, unit),
    })) ?? [{ name: '', from: '', to: '' }],
  );
  const save = useSetFeeder();
  const refusal = save.error instanceof Refusal ? save.error : null;
  const change = (k: number, next: Partial<SizeDraft>) =>
    setSizes(sizes.map((s, i) => (i === k ? { ...s, ...next } : s)));
  const length = (text: string) => toMm(text, unit);
  const bad =
    name.trim().length < 2 ||
    sizes.some((s) => !Number.isFinite(length(s.from)) || !Number.isFinite(length(s.to)));
  return (
    <Dialog
      title={former === null ? 'A feeder of your own' : `Change ${f?.plural ?? ''}`}
      onClose={onClose}
      wide
    >
      <form
        className="grid gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate(
            {
              id: f?.id ?? idOf(name),
              name: name.trim(),
              plural: plural.trim() === '' ? `${name.trim()}s` : plural.trim(),
              fatty,
              canBeCut,
              traits: [...traits],
              keepsDays: Number(keeps.replace(',', '.')),
              serving,
              classes: sizes.map((s) => ({ name: s.name, fromMm: length(s.from), toMm: length(s.to) })),
            },
            { onSuccess: onClose },
          );
        }}
      >
        <div className="grid grid-cols-2 gap-3">
          <TextField label="One" hint="e.g. red runner nymph" value={name} onChange={setName} />
          <TextField label="Many" value={plural} onChange={setPlural} />
        </div>
        <div className="grid gap-2">
          {sizes.map((s, k) => (
            <div key={k} className="grid grid-cols-3 gap-3">
              <TextField
                label={`Size ${k + 1}, its word`}
                value={s.name}
                onChange={(v) => change(k, { name: v })}
              />
              <TextField
                label={`From, ${unit}`}
                inputMode="decimal"
                value={s.from}
                onChange={(v) => change(k, { from: v })}
              />
              <TextField
                label={`To, ${unit}`}
                inputMode="decimal"
                value={s.to}
                onChange={(v) => change(k, { to: v })}
              />
            </div>
          ))}
          {sizes.length < 6 && (
            <Button
              kind="link"
              className="justify-self-start"
              onClick={() => setSizes([...sizes, { name: '', from: '', to: '' }])}
            >
              One more size
            </Button>
          )}
        </div>
        <fieldset>
          <legend className="mb-1 text-13 font-semibold">It</legend>
          <div className="flex flex-wrap gap-x-5 gap-y-1">
            {(Object.keys(traitWord) as Trait[]).map((trait) => (
              <Check
                key={trait}
                label={traitWord[trait]}
                value={traits.includes(trait)}
                onChange={(on) => setTraits(on ? [...traits, trait] : traits.filter((t) => t !== trait))}
              />
            ))}
            <Check label="is rich in fat" value={fatty} onChange={setFatty} />
            <Check label="may be cut up" value={canBeCut} onChange={setCanBeCut} />
          </div>
        </fieldset>
        <div className="grid grid-cols-[9rem_1fr] gap-3">
          <TextField
            label="Keeps, days"
            inputMode="decimal"
            hint="half of it dead by then"
            value={keeps}
            onChange={setKeeps}
          />
          <TextField label="How to serve it" value={serving} onChange={setServing} />
        </div>
        <FormError>{refusal?.all}</FormError>
        <Button kind="first" type="submit" className="justify-center" disabled={bad || save.isPending}>
          Save
        </Button>
      </form>
    </Dialog>
  );
}
