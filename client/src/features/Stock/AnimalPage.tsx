import { Link, useParams } from 'react-router';
import type { AnimalView } from '../../api/client';
import { useSettings } from '../Rooms/queries';
import { useAnimal } from './queries';
import type { LengthUnit } from '../../ui/lengths';
import { useCommands } from '../../commands/useCommands';
import { Waiting } from '../../ui/Waiting';
import { useWhy, whyAnimal } from '../Reasons/WhyContext';
import { WhyHead } from '../Reasons/WhyHead';
import { AnimalHead } from './AnimalHead';
import type { PageSection } from './pagePart';
import { pageParts } from './pageParts';

/** One animal: its life, what is awaited, what may be done. */
export function AnimalPage() {
  const { id = '' } = useParams();
  const unit = useSettings().data?.settings.unit ?? 'mm';
  return (
    <Waiting query={useAnimal(id)} what="The animal">
      {(animal) => <Animal key={animal.stockId} animal={animal} unit={unit} />}
    </Waiting>
  );
}

function Animal({ animal, unit }: { animal: AnimalView; unit: LengthUnit }) {
  const { toggle } = useWhy();
  const { layout } = animal;
  const why = `Why “${animal.phaseWord}”?`;
  useCommands([
    { id: 'animal.why', run: () => toggle({ title: why, animal: whyAnimal(animal), ...animal.phase }) },
  ]);
  const parts = (sections: readonly PageSection[]) =>
    sections.map((section) => {
      const Part = pageParts[section];
      return <Part key={section} animal={animal} unit={unit} />;
    });
  return (
    <>
      <AnimalHead animal={animal} />
      {layout.drawn.length > 0 && (
        <div
          className={`grid gap-x-9 border-t border-line px-6 pt-2 max-lg:grid-cols-1 max-sm:px-4 ${layout.drawn.length === 2 ? 'grid-cols-[1.28fr_1fr]' : ''}`}
        >
          {parts(layout.drawn)}
        </div>
      )}
      {parts(layout.wide)}
      <div
        className={`grid flex-1 ${layout.body.length > 0 ? 'grid-cols-[1.1fr_1fr_0.86fr]' : 'grid-cols-[1.5fr_1fr]'} border-t border-line px-6 pb-6 max-lg:grid-cols-1 max-sm:px-4 [&>*]:pt-3 lg:[&>*+*]:ml-5 lg:[&>*+*]:border-l lg:[&>*+*]:border-line lg:[&>*+*]:pl-5`}
      >
        <section className="min-w-0" aria-labelledby="reading">
          <WhyHead id="reading" animal={animal} title={animal.heading} why={why} answer={animal.phase} />
          <p className="mb-2 text-13 text-soft">
            {animal.phase.summary}{' '}
            <Link to={`/guide?animal=${animal.stockId}`} className="linkish whitespace-nowrap">
              What am I seeing?
            </Link>
          </p>
          {parts(layout.tonight)}
        </section>
        {layout.body.length > 0 && <section className="min-w-0">{parts(layout.body)}</section>}
        <section className="min-w-0" aria-labelledby="hush">
          {parts(layout.care)}
        </section>
      </div>
    </>
  );
}
