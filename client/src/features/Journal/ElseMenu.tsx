import { DropdownMenu } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Act, AnimalView, Schemas } from '../../api/client';
import { useAnimal, useRulebook } from '../../api/queries';
import { MenuItem, menuClass, pickByLetter } from '../../ui/Menu';
import { HushAsk } from '../Hush/HushAsk';
import { ActDialogFor } from './ActDialogFor';
import { type ActOf, beginWord, endWord, type FormKind } from './acts';
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

interface Dated {
  key: string;
  label: string;
  act: ActOf<'began' | 'ended' | 'chilled'>;
}

/** What can be logged with one tap, by group and by what is under way. */
function quickActs(group: Schemas['GroupView'] | undefined): Quick[] {
  const ways = group?.waterWays ?? [];
  const acts: Quick[] = [];
  if (ways.includes('dish')) {
    acts.push({ key: 'd', label: 'Dish filled', act: { kind: 'watered', water: 'dish' }, care: 'water' });
  }
  if (ways.includes('pools')) {
    acts.push({
      key: 'd',
      label: 'Both pools filled',
      act: { kind: 'watered', water: 'pools' },
      care: 'water',
    });
  }
  if (ways.includes('dish') || ways.includes('drops') || ways.includes('coldMist')) {
    acts.push({ key: 'i', label: 'Misted', act: { kind: 'watered', water: 'mist' }, care: 'mist' });
  }
  if (ways.includes('dish') || ways.includes('dampEnd')) {
    acts.push({
      key: 'j',
      label: 'Damp side moistened',
      act: { kind: 'watered', water: 'damp' },
      care: 'water',
    });
  }
  acts.push(
    { key: 'l', label: 'Looked: no sign', act: { kind: 'looked' } },
    { key: 'x', label: 'Leftovers taken out', act: { kind: 'leftoversRemoved', feederIds: null } },
  );
  if (group?.fangCheck === true) {
    acts.push({ key: 'b', label: 'Fangs black', act: { kind: 'fangsChecked', hard: true } });
  }
  return acts;
}

/** Things that are mostly found after the fact: they open a form, in which the night can be said. */
function datedActs(animal: AnimalView | undefined, group: Schemas['GroupView'] | undefined): Dated[] {
  const dated: Dated[] = [];
  const wait = animal?.wait.value;
  const many = animal !== undefined && animal.details.kind !== 'specimen';
  if (wait != null) {
    const [well, badly] = endWord[wait.vigil];
    dated.push(
      { key: '1', label: `${well}…`, act: { kind: 'ended', vigil: wait.vigil, end: 'asHoped' } },
      { key: '2', label: `${badly}…`, act: { kind: 'ended', vigil: wait.vigil, end: 'otherwise' } },
    );
  }
  if (wait == null || many) {
    group?.waits.forEach((vigil, k) =>
      dated.push({ key: String(k + 5), label: `${beginWord[vigil]}…`, act: { kind: 'began', vigil } }),
    );
  }
  if (group?.winters === true && (wait?.vigil === 'emergence' || group.waterWays.includes('tube'))) {
    dated.push(
      { key: '3', label: 'Put into the cold…', act: { kind: 'chilled', intoCold: true } },
      { key: '4', label: 'Taken out of the cold…', act: { kind: 'chilled', intoCold: false } },
    );
  }
  return dated;
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
  ['k', 'Thin, normal, full…', 'conditionSeen'],
  ['y', 'Water of the tube…', 'tubeSeen'],
  ['n', 'Water, another night…', 'watered'],
];

/** Whether a form means something for an animal's group. */
function fits(kind: FormKind, many: boolean, group: Schemas['GroupView'] | undefined): boolean {
  switch (kind) {
    case 'molted':
    case 'limbNoted':
      return group?.moltsFollowed === true;
    case 'counted':
      return many;
    case 'conditionSeen':
      return group?.conditionByEye === true;
    case 'tubeSeen':
      return group?.waterWays.includes('tube') === true;
    case 'watered':
      return group?.waterWays.some((way) => way !== 'tube' && way !== 'none') === true;
    default:
      return true;
  }
}

/** Everything else that can be logged at an enclosure. */
export function ElseMenu({ stockId, name, trigger, open, onOpenChange }: ElseMenuProps) {
  const { quick } = useDone();
  const navigate = useNavigate();
  const animal = useAnimal(stockId, open).data;
  const group = useRulebook().data?.groups.find((g) => g.id === animal?.details.group);
  const [form, setForm] = useState<FormKind | null>(null);
  const [dated, setDated] = useState<Dated['act'] | null>(null);
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
            {quickActs(group).map((item) => (
              <MenuItem key={item.key} letter={item.key} onSelect={() => log(item)}>
                {item.label}
              </MenuItem>
            ))}
            {datedActs(animal, group).map((item) => (
              <MenuItem key={item.key} letter={item.key} onSelect={() => setDated(item.act)}>
                {item.label}
              </MenuItem>
            ))}
            <DropdownMenu.Separator className="my-1 border-t border-line" />
            {forms
              .filter(([, , kind]) => fits(kind, many, group))
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
      {dated !== null && (
        <ActDialogFor stockId={stockId} kind={dated.kind} start={dated} onClose={() => setDated(null)} />
      )}
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
