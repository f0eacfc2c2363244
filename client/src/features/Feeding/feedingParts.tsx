import { fromMm } from '../../ui/lengths';
import { answerLine, WhyHead } from '../Reasons/WhyHead';
import type { PagePart } from '../Stock/pagePart';
import { AppetitePanel } from './AppetitePanel';
import { PreyGauge } from './PreyGauge';

const leftover = answerLine('leftover', 'Why take it out?', (animal) => animal.leftover);
const water = answerLine('water', 'Why this water?', (animal) => animal.water);
const meal = answerLine('meal', 'Why this meal?', (animal) => animal.meal);

const food: PagePart = ({ animal, unit }) => {
  const fit = animal.prey.value;
  return (
    <>
      <WhyHead
        id="prey"
        animal={animal}
        title={animal.takesPrey ? 'Prey, to scale' : 'Food'}
        note={
          fit === null
            ? ''
            : `≤ ${fromMm(fit.maxPreyMm, unit)} ${unit}, body ${animal.size.value?.isEstimate === true ? '~' : ''}${fromMm(fit.bodyMm, unit)}`
        }
        why={animal.takesPrey ? 'Why this size of prey?' : 'Why this food?'}
        answer={animal.takesPrey ? animal.prey : animal.meal}
      />
      {animal.meal.value.forbidden && fit !== null && (
        <p className="text-13 text-hush">Now none. This is what {animal.it} may have later.</p>
      )}
      {fit === null ? (
        <p className="text-muted">{animal.takesPrey ? animal.prey.summary : animal.meal.summary}</p>
      ) : (
        <PreyGauge animal={animal} fit={fit} unit={unit} />
      )}
      <AppetitePanel animal={animal} />
    </>
  );
};

const fasting: PagePart = ({ animal }) => <p className="py-1.5 text-13 text-muted">{animal.meal.summary}</p>;

/** What food and water have to say on an animal's page. */
export const feedingParts = { leftover, water, meal, food, fasting };
