import { DropdownMenu } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Act, AnimalView, Schemas } from '../../api/client';
import { useAnimal, useRulebook } from '../../api/queries';
import { MenuItem, menuClass, pickByLetter } from '../../ui/Menu';
import { HushAsk } from '../Hush/HushAsk';
import { ActDialogFor } from './ActDialogFor';
import type { FormKind } from './acts';
import { useDone } from './DoneContext';

interface ElseMenuProps {
  stockId: string;
  name: string;
  trigger: ReactNode;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}

interface Quick {
  key: string;
  label: string;
  act: Act;
  /** What the hush table calls it, when it may be against the hush. */
  care?: Schemas['CareAct'];
}

const everywhere: readonly Quick[] = [
  { key: 'd', label: 'Dish filled', act: { kind: 'watered', water: 'dish' }, care: 'water' },
  { key: 'i', label: 'Misted', act: { kind: 'watered', water: 'mist' }, care: 'mist' },
  { key: 'l', label: 'Looked: no sign', act: { kind: 'looked' } },
  { key: 'x', label: 'Leftovers taken out', act: { kind: 'leftoversRemoved' } },
];

const begins: Record<Schemas['VigilKind'], string> = {
  molt: '',
  surfacing: 'Buried itself',
  emergence: 'Pupated',
  firstWorkers: 'Set up to found',
  young: 'Broods: sac, eggs or young',
};

const ends: Record<Schemas['VigilKind'], readonly [string, string]> = {
  molt: ['', ''],
  surfacing: ['Came up after a molt', 'Came up without a molt'],
  emergence: ['Emerged', 'The pupa failed'],
  firstWorkers: ['First workers seen', 'Founding failed'],
  young: ['The young came out', 'Brood lost'],
};

/** What can be logged with one tap, by group and by what is under way. */
function quickActs(animal: AnimalView | undefined, group: Schemas['GroupView'] | undefined): Quick[] {
  const acts = [...everywhere];
  if (group?.fangCheck === true) {
    acts.push({ key: 'b', label: 'Fangs black', act: { kind: 'fangsChecked', hard: true } });
  }
  const wait = animal?.wait.value;
  if (wait != null) {
    const [well, badly] = ends[wait.vigil];
    acts.push(
      { key: '1', label: well, act: { kind: 'ended', vigil: wait.vigil, end: 'asHoped' } },
      { key: '2', label: badly, act: { kind: 'ended', vigil: wait.vigil, end: 'otherwise' } },
    );
    if (wait.vigil === 'emergence') {
      acts.push(
        { key: '3', label: 'Put into the cold', act: { kind: 'chilled', intoCold: true } },
        { key: '4', label: 'Taken out of the cold', act: { kind: 'chilled', intoCold: false } },
      );
    }
  } else {
    group?.waits.forEach((vigil, k) =>
      acts.push({ key: String(k + 1), label: begins[vigil], act: { kind: 'began', vigil } }),
    );
  }
  return acts;
}

const forms: readonly (readonly [string, string, FormKind])[] = [
  ['o', 'Other food offered…', 'offered'],
  ['m', 'Molted…', 'molted'],
  ['e', 'Measured…', 'measured'],
  ['g', 'Limb lost or growing…', 'limbNoted'],
  ['s', 'Sex told…', 'sexSeen'],
  ['a', 'Something done to it…', 'handled'],
  ['v', 'Moved…', 'moved'],
  ['u', 'Enclosure…', 'housed'],
  ['t', 'Note…', 'noted'],
  ['w', 'Later, with a reason…', 'putOff'],
  ['c', 'Counted…', 'counted'],
];

/** Everything else that can be logged at an enclosure. */
export function ElseMenu({ stockId, name, trigger, open, onOpenChange }: ElseMenuProps) {
  const { quick } = useDone();
  const navigate = useNavigate();
  const animal = useAnimal(stockId, open).data;
  const group = useRulebook().data?.groups.find((g) => g.id === animal?.details.group);
  const [form, setForm] = useState<FormKind | null>(null);
  const [asking, setAsking] = useState<Quick | null>(null);
  const many = animal !== undefined && animal.details.kind !== 'specimen';
  const log = (item: Quick) => {
    const hushed = animal?.hush.some((line) => line.act === item.care && line.verdict === 'never') ?? false;
    if (hushed) {
      setAsking(item);
    } else {
      quick(stockId, name, item.act);
    }
  };
  return (
    <>
      <DropdownMenu.Root open={open} onOpenChange={onOpenChange} modal={false}>
        <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="start"
            sideOffset={4}
            collisionPadding={12}
            className={menuClass}
            onKeyDown={pickByLetter}
          >
            {quickActs(animal, group).map((item) => (
              <MenuItem key={item.key} letter={item.key} onSelect={() => log(item)}>
                {item.label}
              </MenuItem>
            ))}
            <DropdownMenu.Separator className="my-1 border-t border-line" />
            {forms
              .filter(([, , kind]) => kind !== 'counted' || many)
              .map(([key, label, kind]) => (
                <MenuItem key={key} letter={key} onSelect={() => setForm(kind)}>
                  {label}
                </MenuItem>
              ))}
            <MenuItem letter="p" onSelect={() => void navigate(`/stock/${stockId}/pictures`)}>
              Pictures…
            </MenuItem>
            <DropdownMenu.Separator className="my-1 border-t border-line" />
            <MenuItem letter="h" onSelect={() => void navigate(`/stock/${stockId}/edit`)}>
              Change details…
            </MenuItem>
            <MenuItem letter="q" onSelect={() => setForm('departed')}>
              Leaves the collection…
            </MenuItem>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {form !== null && <ActDialogFor stockId={stockId} kind={form} onClose={() => setForm(null)} />}
      {asking !== null && animal !== undefined && asking.care !== undefined && (
        <HushAsk
          animal={animal}
          care={asking.care}
          happened="It happened: log it"
          onHappened={() => quick(stockId, name, asking.act)}
          onClose={() => setAsking(null)}
        />
      )}
    </>
  );
}
