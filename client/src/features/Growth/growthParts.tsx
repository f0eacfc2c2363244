import { answerLine, WhyHead } from '../Reasons/WhyHead';
import type { PagePart } from '../Stock/pagePart';
import { GrowthNotes } from './GrowthNotes';
import { LifelineDrawing } from './LifelineDrawing';
import { SkinTable } from './SkinTable';

const stage = answerLine('stage', 'Why this stage?', (animal) => animal.stage);
const condition = answerLine('condition', 'Why this condition?', (animal) => animal.condition);

const growth: PagePart = ({ animal, unit }) => {
  const record = animal.growth.value;
  return (
    <>
      <WhyHead
        id="growth"
        animal={animal}
        title="Growth"
        note={record === null ? '' : animal.growth.summary}
        why="Why this growth?"
        answer={animal.growth}
        second
      />
      {record === null ? (
        <p className="text-13 text-muted">{animal.growth.summary}</p>
      ) : (
        record.skins.length > 0 && <SkinTable animal={animal} growth={record} unit={unit} />
      )}
    </>
  );
};

/** What growth has to say on an animal's page. */
export const growthParts = { life: LifelineDrawing, stage, condition, growth, notes: GrowthNotes };
