import { lazy } from 'react';
import { Button } from '../../ui/Button';
import type { AnimalView, Schemas } from '../../api/client';
import { useSettings } from '../Rooms/queries';
import { useRulebook } from '../Rulebook/queries';
import { useAnimal } from '../Stock/queries';
import { Dialog } from '../../ui/Dialog';
import { Opening } from '../../ui/Trouble';
import type { ActDialogProps } from './ActDialog';
import type { ActSubject } from './entryForm';

const loadForms = () => import('./ActDialog');
const ActDialog = lazy(async () => ({ default: (await loadForms()).ActDialog }));

/** Brings the forms while nothing else is asked for, so that one opens at the edge of the wifi. */
export async function warmForms(): Promise<void> {
  try {
    await loadForms();
    // eslint-disable-next-line no-restricted-syntax -- nobody has asked for one yet; whoever does is told
  } catch {
    return;
  }
}

const kindOf: Partial<Record<Schemas['WaterWay'], Schemas['WaterKind']>> = {
  dish: 'dish',
  drops: 'mist',
  dampEnd: 'damp',
  pools: 'pools',
  coldMist: 'mist',
};

/** Kinds of water that make sense for an animal, the one due first. */
function waterKindsOf(animal: AnimalView, group: Schemas['GroupView'] | undefined): Schemas['WaterKind'][] {
  const due = animal.water.value.clocks.flatMap((c) => c.kind ?? []);
  const others = (group?.waterWays ?? []).flatMap((way) => kindOf[way] ?? []);
  // Any floor can have a damp side, and any wall can be misted.
  return [...new Set([...due, ...others, ...(others.length > 0 ? (['mist', 'damp'] as const) : [])])];
}

/** The animal as its entry forms need it. */
export const subjectOf = (
  animal: AnimalView,
  group: Schemas['GroupView'] | undefined,
  calcium: readonly Schemas['CalciumSource'][],
): ActSubject => ({
  calcium: { sources: calcium, standing: animal.calcium.value?.lines ?? [] },
  stockId: animal.stockId,
  name: animal.details.nickname,
  code: animal.place,
  species: animal.species,
  group: animal.details.group,
  many: animal.details.kind === 'brood' || animal.details.kind === 'colony',
  isTank: animal.details.kind === 'tank',
  tankId: animal.tank?.stockId ?? null,
  parts: [
    ...(group?.parts ?? ['body']),
    ...(group?.holdsWithForelegs === true ? (['foreleg'] as const) : []),
  ],
  vials: animal.details.kind === 'brood' ? animal.inVials : null,
  sexShowsBy: animal.sexShowsBy,
  waters: waterKindsOf(animal, group),
  waiting: animal.waits[0]?.value?.vigil ?? null,
  waits: group?.waits ?? [],
  hush: animal.hush,
  sex: animal.details.sex,
  mature: animal.stage.value === 'adult' && animal.molt.value === null,
  hasMolted: animal.lastMolt !== null,
  count: animal.details.count,
  tonight: animal.tonight,
  enclosure: animal.house?.enclosure ?? null,
  offer: animal.meal.value.offer,
});

/** The form of an entry for an animal known by its id; opens once what it needs has come, or says that it did not. */
export function ActDialogFor({ stockId, ...props }: Omit<ActDialogProps, 'subject'> & { stockId: string }) {
  const query = useAnimal(stockId);
  const rulebook = useRulebook();
  const settings = useSettings();
  const animal = query.data;
  if (animal === undefined || !rulebook.isSuccess || !settings.isSuccess) {
    const failed = [query, rulebook, settings].find((q) => q.isError);
    return failed === undefined ? null : (
      <Dialog title="That form did not open" hint={failed.error.message} onClose={props.onClose}>
        <div className="flex justify-end gap-2">
          <Button kind="plain" onClick={props.onClose}>
            Close
          </Button>
          <Button kind="first" onClick={() => void failed.refetch()}>
            Try again
          </Button>
        </div>
      </Dialog>
    );
  }
  const group = rulebook.data.groups.find((g) => g.id === animal.details.group);
  return (
    <Opening onClose={props.onClose}>
      <ActDialog {...props} subject={subjectOf(animal, group, rulebook.data.calcium)} />
    </Opening>
  );
}
