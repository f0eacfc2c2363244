import type { AnimalView } from '../../api/client';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { answerLine, WhyLine } from '../Reasons/WhyHead';
import type { PagePart } from '../Stock/pagePart';

/** What it lives in, and whether that fits. */
function enclosureText(animal: AnimalView, unit: LengthUnit): string {
  const e = animal.house?.enclosure;
  return e === undefined
    ? 'Enclosure not measured yet.'
    : `${e.name}, ${fromMm(e.heightMm - e.substrateMm, unit)} ${unit} free height. ${animal.fit.summary}`;
}

const enclosure: PagePart = ({ animal, unit }) => (
  <WhyLine
    id="enclosure"
    animal={animal}
    title={enclosureText(animal, unit)}
    why="Why this size?"
    answer={animal.fit}
  />
);

const quarantine = answerLine('quarantine', 'Why apart?', (animal) => animal.quarantine);

/** What its house has to say on an animal's page. */
export const housingParts = { enclosure, quarantine };
