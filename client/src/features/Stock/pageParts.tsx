import { feedingParts } from '../Feeding/feedingParts';
import { growthParts } from '../Growth/growthParts';
import { housingParts } from '../Housing/housingParts';
import { HushList } from '../Hush/HushList';
import { JournalList } from '../Journal/JournalList';
import { answerLine, WhyHead } from '../Reasons/WhyHead';
import { CalciumPanel } from '../Colonies/CalciumPanel';
import { ColonyPanel } from '../Colonies/ColonyPanel';
import { nurseryParts } from '../Nursery/nurseryParts';
import { recordParts } from '../Records/recordParts';
import { InmatesPanel } from '../Tanks/InmatesPanel';
import { vigilParts } from '../Vigils/vigilParts';
import type { PagePart, PageSection } from './pagePart';

const cautions: PagePart = ({ animal }) =>
  animal.cautions.map((caution) => (
    <p key={caution} className="mt-2 border-l-2 border-lampmark pl-2 text-13 text-soft">
      {caution}
    </p>
  ));

const upkeep = answerLine('upkeep', 'What else is done?', (animal) => animal.upkeep);

const hush: PagePart = ({ animal }) => (
  <>
    <WhyHead
      id="hush"
      animal={animal}
      title={`What ${animal.it} may have`}
      why="Why this hush?"
      answer={{ summary: animal.phase.summary, reasons: animal.hushReasons }}
    />
    <HushList animal={animal} />
  </>
);

const journal: PagePart = ({ animal }) => (
  <>
    <h2 className="mt-4 mb-1 text-18">Journal</h2>
    <JournalList animal={animal} />
  </>
);

/** The parts of all features of which an animal's page is composed. */
export const pageParts = {
  ...vigilParts,
  ...feedingParts,
  ...growthParts,
  ...housingParts,
  ...recordParts,
  ...nurseryParts,
  inmates: InmatesPanel,
  calcium: CalciumPanel,
  colony: ColonyPanel,
  cautions,
  upkeep,
  hush,
  journal,
} satisfies Record<PageSection, PagePart>;
