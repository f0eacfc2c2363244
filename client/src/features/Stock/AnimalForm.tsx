import { PageTitle } from '../../ui/PageTitle';
import { Select } from '../../ui/Select';
import { Button } from '../../ui/Button';
import { useRef, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import {
  type AnimalView,
  type Refusal,
  refusalOf,
  type RulebookView,
  type Schemas,
  type StockDetails,
} from '../../api/client';
import { useSettings } from '../Rooms/queries';
import { useDone } from '../Journal/DoneContext';
import { useNightline } from '../Rounds/queries';
import { useRulebook } from '../Rulebook/queries';
import { useAddStock, useAnimal, useChangeStock } from './queries';
import { Choice, FormError, TextField } from '../../ui/Field';
import { type LengthUnit, toMm } from '../../ui/lengths';
import { Waiting } from '../../ui/Waiting';
import { useTanks } from '../Tanks/queries';
import { type Before, FirstMeasureFields, nothingBefore, OriginFields } from './AnimalFormParts';
import { TankField } from '../Tanks/TankField';
import { FamilyFields } from './FamilyFields';
import { KnownFields } from './KnownFields';
import { asked, fresh, instarHint, readMolts, textOf, unreadable } from './animalDraft';
import { newId } from '../../ui/newId';

const other = 'other';

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

/** Left empty, the server gives the next free place. */
const placed = (place: string) => (place.trim() === '' ? {} : { place });

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
  const { tell } = useDone();
  // The ids are made once for each animal, so that sending the form twice adds one.
  const [ids, setIds] = useState(() => ({ stock: newId(), entry: newId() }));
  const form = useRef<HTMLFormElement>(null);
  const [search] = useSearchParams();
  const [details, setDetails] = useState<StockDetails>(
    animal?.details ?? asked(fresh(rules, tonight), rules, search),
  );
  const [place, setPlace] = useState(animal?.place ?? '');
  const tanks = useTanks().data ?? [];
  const [tankId, setTankId] = useState(search.get('tank') ?? '');
  const [molts, setMolts] = useState(textOf(details.moltsAtArrival));
  const [count, setCount] = useState(String(details.count));
  const [part, setPart] = useState<Schemas['BodyPart'] | null>(null);
  const [length, setLength] = useState('');
  const [before, setBefore] = useState<Before>(nothingBefore);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const set = (changed: Partial<StockDetails>) => setDetails((d) => ({ ...d, ...changed }));
  const error = (field: string) => refusal?.for(field);
  const group = rules.groups.find((g) => g.id === details.group);
  const species = rules.species.filter((s) => s.group === details.group);
  const isTank = details.kind === 'tank';
  const shares = group?.shared === true && !isTank;
  const tank = shares && animal === null ? tanks.find((t) => t.stockId === tankId) : undefined;
  const busy = add.isPending || change.isPending;

  /** The next of a notebook: group, species and day stay, the rest begins anew. */
  const beginNext = () => {
    setIds({ stock: newId(), entry: newId() });
    set({ nickname: '', sex: 'unknown', motherId: null, fatherId: null, tags: null });
    setPlace('');
    setMolts('');
    setLength('');
    setBefore(nothingBefore);
    form.current?.querySelector<HTMLInputElement>('input:not([type=radio])')?.focus();
  };

  const submit = async (next: boolean) => {
    const complete: StockDetails = {
      ...details,
      moltsAtArrival: readMolts(molts, group),
      count: details.kind === 'specimen' || isTank ? 1 : Number(count),
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
              ...placed(tank?.place ?? place),
              tankId: tank?.stockId ?? null,
              measure:
                length.trim() === ''
                  ? null
                  : { part: part ?? group?.sizePart ?? 'body', lengthMm: toMm(length, unit) },
              lastMoltOn: before.molt === '' ? null : before.molt,
              lastMealOn: before.meal === '' ? null : before.meal,
              lastWaterOn: before.water === '' ? null : before.water,
            })
          : await change.mutateAsync({
              id: animal.stockId,
              entryId: ids.entry,
              version: animal.version,
              details: complete,
              place,
            });
      if (next) {
        tell(
          saved === null
            ? `${complete.nickname} waits for the server`
            : `${complete.nickname} stands at ${saved.place}`,
        );
        beginNext();
      } else if (saved === null) {
        tell(`${complete.nickname} waits for the server`);
        void navigate('/');
      } else {
        void navigate(`/stock/${saved.stockId}`);
      }
    } catch (caught) {
      setRefusal(refusalOf(caught));
    }
  };

  return (
    <form
      ref={form}
      onSubmit={(event) => {
        event.preventDefault();
        void submit(false);
      }}
      noValidate
      className="mx-auto w-full max-w-[760px] px-6 pt-4 pb-10 max-sm:px-4"
    >
      <PageTitle>{animal === null ? 'Add an animal' : `Change ${animal.details.nickname}`}</PageTitle>
      <h1 className="mb-4 page-title">
        {animal === null ? 'Add an animal' : `Change ${animal.details.nickname}`}
      </h1>
      <div className="grid gap-5">
        <Choice
          label="Kept as"
          options={[
            ['specimen', 'One animal'],
            ['brood', 'A batch of young'],
            ['colony', 'A colony'],
            ...(group?.shared === true || isTank ? ([['tank', 'A shared tank']] as const) : []),
          ]}
          value={details.kind}
          onChange={(kind) =>
            set(
              kind === 'tank'
                ? { kind, sex: 'unknown', moltsAtArrival: null, matureAtArrival: false }
                : { kind },
            )
          }
        />
        <div className="grid gap-4 sm:grid-cols-3">
          <Select
            label="Group"
            error={error('group')}
            options={rules.groups.map((g) => [g.id, g.name] as const)}
            value={details.group}
            onChange={(id) => {
              const first = rules.species.find((s) => s.group === id);
              const colonial = rules.groups.find((g) => g.id === id)?.colonial === true;
              set({
                group: id,
                speciesId: first?.id ?? null,
                known: null,
                kind: colonial
                  ? 'colony'
                  : details.kind === 'colony' || details.kind === 'tank'
                    ? 'specimen'
                    : details.kind,
              });
            }}
          />
          <Select
            label="Species"
            error={error('speciesId')}
            options={[
              ...species.map((s) => [s.id, s.scientificName] as const),
              [other, `another ${group?.one ?? 'species'}`],
            ]}
            value={details.speciesId ?? other}
            onChange={(id) =>
              set(
                id === other
                  ? { speciesId: null, otherSpecies: '', known: null }
                  : { speciesId: id, otherSpecies: null, known: null },
              )
            }
          />
          {details.speciesId === null && (
            <TextField
              label="Its scientific name"
              error={error('otherSpecies')}

              value={details.otherSpecies ?? ''}
              onChange={(value) => set({ otherSpecies: value })}
            />
          )}
        </div>
        <div className="grid gap-4 sm:grid-cols-3">
          <TextField
            label="Name"
            autoFocus
            error={error('nickname')}

            value={details.nickname}
            onChange={(value) => set({ nickname: value })}
          />
          {tank === undefined && (
            <TextField
              label="Place"
              hint={
                animal?.tank == null
                  ? animal === null
                    ? 'A1·03 or a1-3; empty takes the next free place'
                    : 'Rack, shelf, slot: A1·03 or a1-3'
                  : `That of ${animal.tank.name}; another takes ${animal.them} out of it`
              }
              error={error('place')}
              value={place}
              onChange={setPlace}
            />
          )}
          {shares && animal === null && tanks.length > 0 && (
            <TankField
              label="Lives in"
              none="A place of its own"
              id={tankId}
              error={error('tankId')}
              onChange={setTankId}
            />
          )}
          {details.kind !== 'specimen' && !isTank && (
            <TextField
              label="How many"
              error={error('count')}

              inputMode="numeric"
              value={count}
              onChange={setCount}
            />
          )}
        </div>
        {!isTank && (
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
        )}
        <OriginFields details={details} set={set} error={error} tonight={tonight} />
        {!isTank && (
          <div className="grid gap-4 sm:grid-cols-3">
            <TextField
              label="Molts behind it when it came"
              hint={instarHint(molts, group) ?? 'Molts, or the instar like i6; empty if not known'}
              error={error('moltsAtArrival')}

              inputMode="numeric"
              value={molts}
              onChange={setMolts}
            />
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
        )}
        {details.speciesId === null && !isTank && (
          <KnownFields details={details} set={set} stages={group?.stageWords} />
        )}
        {!isTank && <FamilyFields details={details} set={set} error={error} />}
        {animal === null && !isTank && (
          <FirstMeasureFields
            group={group}
            unit={unit}
            tonight={tonight}
            error={error}
            measure={{ part, length }}
            before={before}
            onChange={(next) => {
              setPart(next.part);
              setLength(next.length);
            }}
            onBefore={setBefore}
          />
        )}
        <FormError>{refusal?.all}</FormError>
        <div className="flex gap-2">
          <Button kind="first" type="submit" disabled={busy}>
            {animal === null ? 'Add it' : 'Save'}
          </Button>
          {animal === null && (
            <Button disabled={busy} onClick={() => void submit(true)}>
              Add and next
            </Button>
          )}
          <Button kind="plain" onClick={() => void navigate(-1)}>
            Cancel
          </Button>
        </div>
      </div>
    </form>
  );
}
