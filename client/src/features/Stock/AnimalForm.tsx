import { type SubmitEvent, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import {
  type AnimalView,
  Refusal,
  type RulebookView,
  type Schemas,
  type StockDetails,
} from '../../api/client';
import {
  useAddStock,
  useAnimal,
  useChangeStock,
  useNightline,
  useRulebook,
  useSettings,
} from '../../api/queries';
import { Choice, Field, FormError } from '../../ui/Field';
import { type LengthUnit, toMm } from '../../ui/lengths';
import { Waiting } from '../../ui/Waiting';
import { bodyParts } from '../Journal/acts';

const other = 'other';
const measurable = bodyParts.slice(0, 3);

/** Adds an animal. */
export function NewAnimalPage() {
  const rulebook = useRulebook();
  const tonight = useNightline().data?.tonight;
  const unit = useSettings().data?.settings.unit;
  return (
    <Waiting query={rulebook} what="The rulebook">
      {(rules) =>
        tonight !== undefined &&
        unit !== undefined && <AnimalForm rules={rules} tonight={tonight} unit={unit} animal={null} />
      }
    </Waiting>
  );
}

/** Changes what is known of an animal. */
export function EditAnimalPage() {
  const { id = '' } = useParams();
  const rulebook = useRulebook();
  const unit = useSettings().data?.settings.unit;
  return (
    <Waiting query={useAnimal(id)} what="The animal">
      {(animal) => (
        <Waiting query={rulebook} what="The rulebook">
          {(rules) =>
            unit !== undefined && (
              <AnimalForm rules={rules} tonight={animal.tonight} unit={unit} animal={animal} />
            )
          }
        </Waiting>
      )}
    </Waiting>
  );
}

interface FormProps {
  rules: RulebookView;
  tonight: string;
  unit: LengthUnit;
  animal: AnimalView | null;
}

function AnimalForm({ rules, tonight, unit, animal }: FormProps) {
  const navigate = useNavigate();
  const add = useAddStock();
  const change = useChangeStock();
  // The ids are made once, so that sending the form twice adds one animal.
  const [ids] = useState(() => ({ stock: crypto.randomUUID(), entry: crypto.randomUUID() }));
  const [details, setDetails] = useState<StockDetails>(animal?.details ?? fresh(rules, tonight));
  const [place, setPlace] = useState(animal?.place ?? '');
  const [molts, setMolts] = useState(textOf(details.moltsAtArrival));
  const [count, setCount] = useState(String(details.count));
  const [part, setPart] = useState<Schemas['BodyPart']>('legSpan');
  const [length, setLength] = useState('');
  const [lastMolt, setLastMolt] = useState('');
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const set = (changed: Partial<StockDetails>) => setDetails((d) => ({ ...d, ...changed }));
  const error = (field: string) => refusal?.for(field);
  const group = rules.groups.find((g) => g.id === details.group);
  const species = rules.species.filter((s) => s.group === details.group);
  const busy = add.isPending || change.isPending;

  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    const complete: StockDetails = {
      ...details,
      moltsAtArrival: readMolts(molts, group),
      count: details.kind === 'specimen' ? 1 : Number(count),
    };
    const wrong = unreadable(complete, length, unit);
    if (wrong !== null) {
      setRefusal(wrong);
      return;
    }
    try {
      const saved =
        animal === null
          ? await add.mutateAsync({
              id: ids.stock,
              entryId: ids.entry,
              details: complete,
              place,
              measure: length.trim() === '' ? null : { part, lengthMm: toMm(length, unit) },
              lastMoltOn: lastMolt === '' ? null : lastMolt,
            })
          : await change.mutateAsync({
              id: animal.stockId,
              entryId: ids.entry,
              version: animal.version,
              details: complete,
              place,
            });
      void navigate(`/stock/${saved.stockId}`);
    } catch (caught) {
      setRefusal(caught instanceof Refusal ? caught : new Refusal('That could not be saved.', {}, 0));
    }
  };

  return (
    <form
      onSubmit={(e) => void submit(e)}
      noValidate
      className="mx-auto w-full max-w-[760px] px-6 pt-4 pb-10 max-sm:px-4"
    >
      <h1 className="mb-4 text-30 max-sm:text-[24px]">
        {animal === null ? 'Add an animal' : `Change ${animal.details.nickname}`}
      </h1>
      <div className="grid gap-5">
        <Choice
          label="Kept as"
          options={[
            ['specimen', 'One animal'],
            ['brood', 'A batch of young'],
          ]}
          value={details.kind}
          onChange={(kind) => set({ kind })}
        />
        <div className="grid gap-4 sm:grid-cols-3">
          <Field label="Group" error={error('group')}>
            {(p) => (
              <select
                {...p}
                className="field"
                value={details.group}
                onChange={(e) => {
                  const first = rules.species.find((s) => s.group === e.target.value);
                  set({ group: e.target.value, speciesId: first?.id ?? null });
                }}
              >
                {rules.groups.map((g) => (
                  <option key={g.id} value={g.id}>
                    {g.name}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Field label="Species" error={error('speciesId')}>
            {(p) => (
              <select
                {...p}
                className="field"
                value={details.speciesId ?? other}
                onChange={(e) =>
                  set(
                    e.target.value === other
                      ? { speciesId: null, otherSpecies: '' }
                      : { speciesId: e.target.value, otherSpecies: null },
                  )
                }
              >
                {species.map((s) => (
                  <option key={s.id} value={s.id}>
                    {s.scientificName}
                  </option>
                ))}
                <option value={other}>another {group?.one ?? 'species'}</option>
              </select>
            )}
          </Field>
          {details.speciesId === null && (
            <Field label="Its scientific name" error={error('otherSpecies')}>
              {(p) => (
                <input
                  {...p}
                  className="field"
                  value={details.otherSpecies ?? ''}
                  onChange={(e) => set({ otherSpecies: e.target.value })}
                />
              )}
            </Field>
          )}
        </div>
        <div className="grid gap-4 sm:grid-cols-3">
          <Field label="Name" error={error('nickname')}>
            {(p) => (
              <input
                {...p}
                className="field"
                value={details.nickname}
                onChange={(e) => set({ nickname: e.target.value })}
              />
            )}
          </Field>
          <Field label="Place" hint="Rack, shelf, slot: A1·03 or a1-3" error={error('place')}>
            {(p) => (
              <input {...p} className="field" value={place} onChange={(e) => setPlace(e.target.value)} />
            )}
          </Field>
          {details.kind === 'brood' && (
            <Field label="How many" error={error('count')}>
              {(p) => (
                <input
                  {...p}
                  className="field"
                  inputMode="numeric"
                  value={count}
                  onChange={(e) => setCount(e.target.value)}
                />
              )}
            </Field>
          )}
        </div>
        <Choice
          label="Sex"
          options={[
            ['unknown', 'Not known'],
            ['female', 'Female'],
            ['male', 'Male'],
          ]}
          value={details.sex}
          onChange={(sex) => set({ sex })}
        />
        <div className="grid gap-4 sm:grid-cols-3">
          <Field label="Came on" error={error('acquiredOn')}>
            {(p) => (
              <input
                {...p}
                type="date"
                max={tonight}
                className="field"
                value={details.acquiredOn}
                onChange={(e) => set({ acquiredOn: e.target.value })}
              />
            )}
          </Field>
          <Field label="Came from" error={error('acquiredFrom')}>
            {(p) => (
              <input
                {...p}
                className="field"
                value={details.acquiredFrom ?? ''}
                onChange={(e) => set({ acquiredFrom: e.target.value === '' ? null : e.target.value })}
              />
            )}
          </Field>
          <Field label="Hatched on, if known" error={error('hatchedOn')}>
            {(p) => (
              <input
                {...p}
                type="date"
                max={tonight}
                className="field"
                value={details.hatchedOn ?? ''}
                onChange={(e) => set({ hatchedOn: e.target.value === '' ? null : e.target.value })}
              />
            )}
          </Field>
        </div>
        <div className="grid gap-4 sm:grid-cols-3">
          <Field
            label="Molts behind it when it came"
            hint={instarHint(molts, group) ?? 'Molts, or the instar like i6; empty if not known'}
            error={error('moltsAtArrival')}
          >
            {(p) => (
              <input
                {...p}
                className="field"
                inputMode="numeric"
                value={molts}
                onChange={(e) => setMolts(e.target.value)}
              />
            )}
          </Field>
          <Choice
            label="Came as an adult"
            options={[
              ['no', 'No'],
              ['yes', 'Yes'],
            ]}
            value={details.matureAtArrival ? 'yes' : 'no'}
            onChange={(value) => set({ matureAtArrival: value === 'yes' })}
          />
        </div>
        {animal === null && (
          <section className="grid gap-4 border-t border-line pt-4">
            <h2 className="text-18">First measure</h2>
            <Choice label="What" options={measurable} value={part} onChange={setPart} />
            <div className="grid gap-4 sm:grid-cols-3">
              <Field
                label={`Length in ${unit}`}
                hint="Or with a unit: 6 cm, 2.4 in. Prey is sized by it"
                error={error('lengthMm')}
              >
                {(p) => (
                  <input
                    {...p}
                    className="field"
                    inputMode="decimal"
                    value={length}
                    onChange={(e) => setLength(e.target.value)}
                  />
                )}
              </Field>
              <Field
                label="Last molt since it came"
                hint="Leave empty if none was seen"
                error={error('lastMoltOn')}
              >
                {(p) => (
                  <input
                    {...p}
                    type="date"
                    max={tonight}
                    className="field"
                    value={lastMolt}
                    onChange={(e) => setLastMolt(e.target.value)}
                  />
                )}
              </Field>
            </div>
          </section>
        )}
        <FormError>{refusal?.all}</FormError>
        <div className="flex gap-2">
          <button type="submit" className="act act-first px-5" disabled={busy}>
            {animal === null ? 'Add it' : 'Save'}
          </button>
          <button type="button" className="act act-plain px-3" onClick={() => void navigate(-1)}>
            Cancel
          </button>
        </div>
      </div>
    </form>
  );
}

const fresh = (rules: RulebookView, tonight: string): StockDetails => ({
  kind: 'specimen',
  group: rules.groups[0]?.id ?? '',
  speciesId: rules.species.find((s) => s.group === rules.groups[0]?.id)?.id ?? null,
  otherSpecies: null,
  nickname: '',
  sex: 'unknown',
  acquiredOn: tonight,
  acquiredFrom: null,
  moltsAtArrival: null,
  matureAtArrival: false,
  hatchedOn: null,
  count: 1,
});

const textOf = (value: number | null) => (value === null ? '' : String(value));

type Group = RulebookView['groups'][number] | undefined;

/** Molts as typed: a number of molts, or an instar such as `i6`. Nothing when empty; not a number when unreadable. */
function readMolts(text: string, group: Group): number | null {
  const mark = group?.instarMark.toLowerCase() ?? 'i';
  const typed = text.trim().toLowerCase();
  if (typed === '') {
    return null;
  }
  return typed.startsWith(mark)
    ? Number(typed.slice(mark.length)) - (group?.instarAtHatching ?? 1)
    : Number(typed);
}

function instarHint(text: string, group: Group): string | undefined {
  const molts = readMolts(text, group);
  return molts === null || !Number.isInteger(molts) || group === undefined
    ? undefined
    : `${molts} molts: ${group.instarMark}${molts + group.instarAtHatching}`;
}

/** What cannot be sent because it is no number at all; ranges are the server's to judge. */
function unreadable(details: StockDetails, length: string, unit: LengthUnit): Refusal | null {
  const errors: Record<string, string[]> = {};
  if (details.moltsAtArrival !== null && !Number.isInteger(details.moltsAtArrival)) {
    errors['moltsAtArrival'] = ['Write a whole number or an instar like i6, or leave it empty.'];
  }
  if (!Number.isInteger(details.count)) {
    errors['count'] = ['Write a whole number.'];
  }
  if (length.trim() !== '' && !Number.isFinite(toMm(length, unit))) {
    errors['lengthMm'] = [`Write a number in ${unit}.`];
  }
  return Object.keys(errors).length === 0 ? null : new Refusal('', errors, 400);
}
