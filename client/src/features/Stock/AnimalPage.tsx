import { Link, useParams } from 'react-router';
import type { AnimalView, Reason, Schemas } from '../../api/client';
import { useAnimal, useSettings } from '../../api/queries';
import { shortDate } from '../../ui/dates';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { useKeys } from '../../ui/useKeys';
import { Waiting } from '../../ui/Waiting';
import { AppetitePanel } from '../Feeding/AppetitePanel';
import { PreyGauge } from '../Feeding/PreyGauge';
import { LifelineDrawing } from '../Growth/LifelineDrawing';
import { GrowthNotes } from '../Growth/GrowthNotes';
import { SkinTable } from '../Growth/SkinTable';
import { HushList } from '../Hush/HushList';
import { JournalList } from '../Journal/JournalList';
import { useWhy, whyAnimal } from '../Reasons/WhyContext';
import { NumbersBook } from '../Records/NumbersBook';
import { InmatesPanel } from '../Tanks/InmatesPanel';
import { EndsCharts } from '../Vigils/EndsChart';
import { EvidenceLadder } from '../Vigils/EvidenceLadder';
import { MoltCloseUp } from '../Vigils/MoltCloseUp';
import { AnimalHead } from './AnimalHead';

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
  const has = (section: Schemas['PageSection']) => animal.sections.includes(section);
  const drawn = [has('life'), has('awaited')].filter(Boolean).length;
  const why = (title: string, answer: { summary: string; reasons: readonly Reason[] }) => () =>
    toggle({
      title,
      animal: whyAnimal(animal),
      summary: answer.summary,
      reasons: answer.reasons,
    });
  const whyPhase = why(`Why “${animal.phaseWord}”?`, animal.phase);
  useKeys({ '?': whyPhase });
  const fit = animal.prey.value;
  const growth = animal.growth.value;
  const middle = has('food') || has('growth') || animal.numbers !== null || animal.births.length > 0;
  const mayBeWatered = animal.hush.find((line) => line.act === 'water')?.verdict === 'fine';
  const fed = !animal.meal.value.forbidden;
  return (
    <>
      <AnimalHead animal={animal} />
      {drawn > 0 && (
        <div
          className={`grid gap-x-9 border-t border-line px-6 pt-2 max-lg:grid-cols-1 max-sm:px-4 ${drawn === 2 ? 'grid-cols-[1.28fr_1fr]' : ''}`}
        >
          {has('life') && <LifelineDrawing animal={animal} unit={unit} />}
          {has('awaited') && <MoltCloseUp animal={animal} unit={unit} />}
        </div>
      )}
      {has('inmates') && <InmatesPanel animal={animal} />}
      <div
        className={`grid flex-1 ${middle ? 'grid-cols-[1.1fr_1fr_0.86fr]' : 'grid-cols-[1.5fr_1fr]'} border-t border-line px-6 pb-6 max-lg:grid-cols-1 max-sm:px-4 [&>*]:pt-3 lg:[&>*+*]:ml-5 lg:[&>*+*]:border-l lg:[&>*+*]:border-line lg:[&>*+*]:pl-5`}
      >
        <section className="min-w-0" aria-labelledby="reading">
          <SectionHead id="reading" title={animal.heading} onWhy={whyPhase} />
          <p className="mb-2 text-13 text-soft">{animal.phase.summary}</p>
          {has('signs') && <EvidenceLadder animal={animal} />}
          <EndsCharts animal={animal} />
          <p className="my-2 text-13">
            <Link to={`/guide?animal=${animal.stockId}`} className="linkish">
              What am I seeing?
            </Link>
          </p>
          <Turns animal={animal} />
          {animal.leftover.value !== null && (
            <SectionHead
              id="leftover"
              title={animal.leftover.summary}
              onWhy={why('Why take it out?', animal.leftover)}
              small
            />
          )}
          {mayBeWatered && (
            <SectionHead
              id="water"
              title={animal.water.summary}
              onWhy={why('Why this water?', animal.water)}
              small
            />
          )}
          {animal.upkeep.value.clocks.length > 0 && (
            <SectionHead
              id="upkeep"
              title={animal.upkeep.summary}
              onWhy={why('What else is done?', animal.upkeep)}
              small
            />
          )}
          {animal.takesPrey && has('food') && (
            <SectionHead
              id="meal"
              title={animal.meal.summary}
              onWhy={why('Why this meal?', animal.meal)}
              small
            />
          )}
          {animal.firstMeal.value !== null && softAfterMolt(animal) && (
            <SectionHead
              id="first"
              title={animal.firstMeal.summary}
              onWhy={why('Why this wait?', animal.firstMeal)}
              small
            />
          )}
          {has('stage') && (
            <SectionHead
              id="stage"
              title={animal.stage.summary}
              onWhy={why('Why this stage?', animal.stage)}
              small
            />
          )}
          {has('condition') && (
            <SectionHead
              id="condition"
              title={animal.condition.summary}
              onWhy={why('Why this condition?', animal.condition)}
              small
            />
          )}
          <SectionHead
            id="enclosure"
            title={enclosureText(animal, unit)}
            onWhy={why('Why this size?', animal.fit)}
            small
          />
          {animal.quarantine.value !== null && (
            <SectionHead
              id="quarantine"
              title={animal.quarantine.summary}
              onWhy={why('Why apart?', animal.quarantine)}
              small
            />
          )}
          {animal.cautions.map((caution) => (
            <p key={caution} className="mt-2 border-l-2 border-lampmark pl-2 text-13 text-soft">
              {caution}
            </p>
          ))}
          {!middle && animal.meal.value.eatsNothing && (
            <p className="text-13 text-muted">{animal.meal.summary}</p>
          )}
          {!middle && <GrowthNotes animal={animal} unit={unit} />}
        </section>
        {middle && (
          <section className="min-w-0" aria-labelledby="prey">
            {has('food') ? (
              <>
                <SectionHead
                  id="prey"
                  title={animal.takesPrey ? 'Prey, to scale' : 'Food'}
                  note={
                    fit === null
                      ? ''
                      : `≤ ${fromMm(fit.maxPreyMm, unit)} ${unit}, body ${animal.size.value?.isEstimate === true ? '~' : ''}${fromMm(fit.bodyMm, unit)}`
                  }
                  onWhy={why('Why this size of prey?', animal.prey)}
                />
                {!fed && fit !== null && (
                  <p className="text-13 text-hush">Now none. This is what {animal.it} may have later.</p>
                )}
                {fit === null ? (
                  <p className="text-muted">{animal.takesPrey ? animal.prey.summary : animal.meal.summary}</p>
                ) : (
                  <PreyGauge animal={animal} fit={fit} unit={unit} />
                )}
                <AppetitePanel animal={animal} />
              </>
            ) : (
              animal.meal.value.eatsNothing && <p className="text-muted">{animal.meal.summary}</p>
            )}
            {has('growth') && (
              <>
                <SectionHead
                  id="growth"
                  title="Growth"
                  note={growth === null ? '' : animal.growth.summary}
                  onWhy={why('Why this growth?', animal.growth)}
                  second
                />
                {growth === null ? (
                  <p className="text-13 text-muted">{animal.growth.summary}</p>
                ) : (
                  growth.skins.length > 0 && <SkinTable animal={animal} growth={growth} unit={unit} />
                )}
              </>
            )}
            {animal.numbers !== null && (
              <>
                <h2 id="numbers" className="mt-4 mb-1 text-18">
                  Numbers
                </h2>
                <NumbersBook animal={animal} numbers={animal.numbers} />
              </>
            )}
            {animal.births.length > 0 && (
              <>
                <h2 className="mt-4 mb-1 text-18">Young</h2>
                <ul className="text-13">
                  {animal.births.map((birth) => (
                    <li key={birth.youngId} className="border-t border-line py-1">
                      {shortDate(birth.at.slice(0, 10), animal.tonight)}: {birth.count} came out, now{' '}
                      <Link to={`/stock/${birth.youngId}`} className="linkish">
                        {birth.young}
                      </Link>
                    </li>
                  ))}
                </ul>
              </>
            )}
            <GrowthNotes animal={animal} unit={unit} />
          </section>
        )}
        <section className="min-w-0" aria-labelledby="hush">
          <SectionHead
            id="hush"
            title={`What ${animal.it} may have`}
            onWhy={why('Why this hush?', { summary: animal.phase.summary, reasons: animal.hushReasons })}
          />
          <HushList animal={animal} />
          <h2 className="mt-4 mb-1 text-18">Journal</h2>
          <JournalList animal={animal} />
        </section>
      </div>
    </>
  );
}

/** What it lives in, and whether that fits. */
function enclosureText(animal: AnimalView, unit: LengthUnit): string {
  const e = animal.house?.enclosure;
  return e === undefined
    ? 'Enclosure not measured yet.'
    : `${e.name}, ${fromMm(e.heightMm - e.substrateMm, unit)} ${unit} free height. ${animal.fit.summary}`;
}

/** Whether the first meal after a molt is still to come. */
const softAfterMolt = (animal: AnimalView) =>
  animal.phase.value === 'hardening' || animal.phase.value === 'fangsUnchecked';

interface SectionHeadProps {
  id: string;
  title: string;
  note?: string;
  onWhy: () => void;
  second?: boolean;
  small?: boolean;
}

function SectionHead({ id, title, note = '', onWhy, second = false, small = false }: SectionHeadProps) {
  return (
    <h2
      id={id}
      className={`${small ? 'border-t border-line py-1.5 text-13' : 'mb-1 text-18'} ${second ? 'mt-4' : ''}`}
    >
      <span className={small ? 'font-text font-normal tracking-normal' : ''}>{title}</span>
      {note !== '' && (
        <span className="ml-2 font-text text-13 font-normal tracking-normal text-muted">{note}</span>
      )}{' '}
      <button
        type="button"
        onClick={onWhy}
        aria-label={`Why: ${title}`}
        className="ml-0.5 size-6 rounded-full border border-edge align-middle font-text text-12 font-semibold text-muted hover:text-ink"
      >
        ?
      </button>
    </h2>
  );
}

/** What would change the reading, said beforehand. */
function Turns({ animal }: { animal: AnimalView }) {
  const { value } = animal.phase;
  const turns: [string, string][] =
    value === 'suspected' || value === 'likely'
      ? [
          [`If ${animal.it} takes food`, 'what was seen before is answered: the signs are taken back'],
          ['Mat, or on its back', 'imminent: three shutters, close the lid softly'],
          ['Upright, legs curled under', 'not a molt: water at once, then ask'],
        ]
      : value === 'imminent'
        ? [
            [
              'Stuck for more than a day',
              'keep it humid, hands off, ask an experienced keeper or an exotics vet',
            ],
          ]
        : [];
  return (
    <dl className="mt-2 grid grid-cols-[minmax(0,10.5rem)_minmax(0,1fr)] gap-x-3 text-13">
      {turns.map(([when, then]) => (
        <div key={when} className="contents">
          <dt className="border-t border-line py-1 font-semibold">{when}</dt>
          <dd className="border-t border-line py-1">{then}</dd>
        </div>
      ))}
    </dl>
  );
}
