import type { AnimalView } from '../../api/client';
import { useAnimal, useRulebook, useSettings } from '../../api/queries';
import { ActDialog, type ActDialogProps } from './ActDialog';
import type { ActSubject } from './ActFields';

/** The animal as its entry forms need it. */
export const subjectOf = (animal: AnimalView): ActSubject => ({
  stockId: animal.stockId,
  name: animal.details.nickname,
  code: animal.place,
  species: animal.species,
  group: animal.details.group,
  brood: animal.details.kind === 'brood',
  mature: animal.stage.value === 'adult' && animal.molt.value === null,
  hasMolted: animal.lastMolt !== null,
  count: animal.details.count,
  offer: animal.meal.value.offer,
});

/** The form of an entry for an animal known by its id; opens once what it needs has come. */
export function ActDialogFor({ stockId, ...props }: Omit<ActDialogProps, 'subject'> & { stockId: string }) {
  const animal = useAnimal(stockId).data;
  const rulebook = useRulebook();
  const settings = useSettings();
  const ready = rulebook.isSuccess && settings.isSuccess;
  return animal === undefined || !ready ? null : <ActDialog {...props} subject={subjectOf(animal)} />;
}
