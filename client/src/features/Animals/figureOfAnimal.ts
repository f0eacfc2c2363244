import type { AnimalView, Schemas } from '../../api/client';
import { type Figure, figureOf, plainLegSpan } from './figure';

const fullness: Record<Schemas['ConditionWord'], number> = {
  unknown: 1,
  thin: 0.74,
  normal: 1,
  plump: 1.12,
  veryPlump: 1.26,
};

/** A mature male tarantula is all legs. */
const maleAbdomen = 0.72;

/** The drawing of an animal as it is on record: its stage, its sex, its abdomen, its legs in proportion to its body. */
export function figureOfAnimal(animal: AnimalView): Figure {
  const size = animal.size.value;
  const grownMale = animal.details.sex === 'male' && animal.stage.value === 'adult';
  const { word } = animal.condition.value;
  return figureOf({
    group: animal.details.group,
    stage: animal.stage.value,
    queen: animal.stageWord === 'queen alone',
    abdomen:
      animal.details.group === 'tarantula' && grownMale && word === 'unknown' ? maleAbdomen : fullness[word],
    legs:
      size !== null && animal.details.group === 'tarantula' && size.sizeMm > size.bodyMm
        ? Math.max(0.7, Math.min(1.5, size.sizeMm / size.bodyMm / plainLegSpan))
        : 1,
  });
}
