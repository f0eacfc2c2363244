import type { AnimalView, Schemas } from '../../api/client';
import { useAnimal, useRulebook, useSettings } from '../../api/queries';
import { ActDialog, type ActDialogProps } from './ActDialog';
import type { ActSubject } from './actDraft';

/** The animal as its entry forms need it. */
export const subjectOf = (animal: AnimalView, group: Schemas['GroupView'] | undefined): ActSubject => ({
  stockId: animal.stockId,
  name: animal.details.nickname,
  code: animal.place,
  species: animal.species,
  group: animal.details.group,
  many: animal.details.kind !== 'specimen',
  parts: [
    ...(group?.parts ?? ['body']),
    ...(group?.holdsWithForelegs === true ? (['foreleg'] as const) : []),
  ],
  vials: animal.details.kind === 'brood' ? animal.details.count : null,
  hush: animal.hush,
  mature: animal.stage.value === 'adult' && animal.molt.value === null,
  hasMolted: animal.lastMolt !== null,
  count: animal.details.count,
  tonight: animal.tonight,
  enclosure: animal.house?.enclosure ?? null,
  offer: animal.meal.value.offer,
});

/** The form of an entry for an animal known by its id; opens once what it needs has come. */
export function ActDialogFor({ stockId, ...props }: Omit<ActDialogProps, 'subject'> & { stockId: string }) {
  const animal = useAnimal(stockId).data;
  const rulebook = useRulebook();
  const settings = useSettings();
  const ready = rulebook.isSuccess && settings.isSuccess;
  if (animal === undefined || !ready) {
    return null;
  }
  const group = rulebook.data.groups.find((g) => g.id === animal.details.group);
  return <ActDialog {...props} subject={subjectOf(animal, group)} />;
}
