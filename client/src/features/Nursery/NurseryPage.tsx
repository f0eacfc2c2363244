import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { dateRange, shortDate, toDays } from '../../ui/dates';
import { EmptyState } from '../../ui/EmptyState';
import { PageTitle } from '../../ui/PageTitle';
import { Waiting } from '../../ui/Waiting';
import { WhyButton } from '../../ui/WhyButton';
import { useWhy, type WhyAnimal } from '../Reasons/WhyContext';
import { Fathers } from './Fathers';
import { Finds } from './Finds';
import { HandOnLine } from './HandOnLine';
import { Leaf } from './Leaf';
import { useNursery } from './queries';
import { SickBoxes } from './SickBoxes';
import { Winters } from './Winters';
import { Years } from './Years';

type Brood = Schemas['NurseryBrood'];
type Wait = Schemas['NurseryWait'];

/** What is awaited, and what is growing up. */
export function NurseryPage() {
  return (
    <div className="px-6 pt-4 pb-10 max-sm:px-4">
      <PageTitle>Nursery</PageTitle>
      <header className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h1 className="page-title">What is hatching, and who lives?</h1>
        <Link to="/nursery/unknown" className="linkish">
          A larva you do not know
        </Link>
      </header>
      <Waiting query={useNursery()} what="The nursery">
        {(desk) =>
          desk.waits.length +
            desk.broods.length +
            desk.winters.length +
            desk.leaf.length +
            desk.finds.length ===
          0 ? (
            <EmptyState
              title="No brood yet"
              text="Sacs, oothecae, eggs, their young and pupae that winter stand here, from the night on which a mother broods or eggs are laid."
            />
          ) : (
            <>
              <SickBoxes boxes={desk.sick} tonight={desk.tonight} />
              <Broods broods={desk.broods} tonight={desk.tonight} />
              <Waits waits={desk.waits} tonight={desk.tonight} />
              <Leaf larvae={desk.leaf} tonight={desk.tonight} />
              <Winters winters={desk.winters} plans={desk.warmUps} tonight={desk.tonight} />
              <Mothers mothers={desk.mothers} tonight={desk.tonight} />
              <Finds places={desk.finds} tonight={desk.tonight} />
              <Years years={desk.years} tonight={desk.tonight} />
            </>
          )
        }
      </Waiting>
    </div>
  );
}

function Mothers({ mothers, tonight }: { mothers: readonly Schemas['NurseryMother'][]; tonight: string }) {
  if (mothers.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="mothers" className="mt-6">
      <h2 id="mothers" className="text-18">
        Mothers afterwards
      </h2>
      <ul className="mt-1">
        {mothers.map((she) => (
          <li key={she.stockId} className="nursery-row">
            <span className="code">{she.place}</span>
            <span className="min-w-0">
              <Link to={`/stock/${she.stockId}`} className="font-semibold">
                {she.name}
              </Link>{' '}
              <i className="text-13 text-muted">{she.species}</i>
              <small className="block text-13 text-muted">
                {toDays(tonight) - toDays(she.since)} nights since her brood
              </small>
            </span>
            <span>
              <b className="font-semibold">
                {she.ateOn === null ? 'has not eaten since' : `ate first ${shortDate(she.ateOn, tonight)}`}
              </b>
              <small className="block text-13 text-muted">
                {she.now}
                {she.before !== null && `; before it ${she.before}`}
              </small>
            </span>
            <span className="text-13 text-soft">
              {she.ready}
              {she.others !== '' && <small className="block text-13 text-muted">{she.others}</small>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Of whom the drawer tells. */
const whyOf = ({ stockId, place, name, species }: WhyAnimal): WhyAnimal => ({
  stockId,
  place,
  name,
  species,
});

function Waits({ waits, tonight }: { waits: readonly Wait[]; tonight: string }) {
  const { toggle } = useWhy();
  if (waits.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="awaited" className="mt-6">
      <h2 id="awaited" className="text-18">
        Awaited
      </h2>
      <ul className="mt-1">
        {waits.map((wait) => {
          const forecast = wait.forecast.value;
          return (
            <li key={`${wait.stockId} ${wait.vigil}`} className="nursery-row">
              <span className="code">{wait.place}</span>
              <span className="min-w-0">
                <Link to={`/stock/${wait.stockId}`} className="font-semibold">
                  {wait.name}
                </Link>{' '}
                <i className="text-13 text-muted">{wait.species}</i>
                <small className="block text-13 text-muted">
                  {wait.what}, {toDays(tonight) - toDays(wait.began)} nights
                  {wait.isChilled && ', in the cold'}
                  {wait.looks > 0 && `, looked at on ${wait.looks} of them`}
                  {wait.expects !== null && `; usually ${wait.expects}`}
                  {wait.takenFrom !== null &&
                    wait.takenTo !== null &&
                    `; left with her is usual, taken by some ${dateRange(wait.takenFrom, wait.takenTo, tonight)}`}
                </small>
              </span>
              <span>
                {forecast === null ? (
                  'No date can be told'
                ) : (
                  <>
                    <b className="font-semibold">{dateRange(forecast.p10, forecast.p90, tonight)}</b>{' '}
                    <WhyButton
                      of={`when ${wait.name} is to be expected`}
                      onClick={() => toggle({ title: 'When?', animal: whyOf(wait), ...wait.forecast })}
                    />
                    <small className="block text-13 text-muted">
                      half by {shortDate(forecast.p50, tonight)}
                      {wait.isHeld && ', if it is taken out of the cold tonight'}
                      {forecast.longerThanNormal && ', longer than normal'}
                    </small>
                  </>
                )}
              </span>
              <span className="text-13 text-soft">
                {forecast?.ends?.ends
                  .map((end) => `${end.says} ${Math.round(end.chance * 100)} in 100`)
                  .join(' · ')}
                {wait.record !== '' && <small className="block text-13 text-muted">{wait.record}</small>}
                <Fathers fathers={wait.fathers} />
                {wait.mayBePromised && <HandOnLine animal={whyOf(wait)} handOn={wait.handOn} />}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Broods({ broods, tonight }: { broods: readonly Brood[]; tonight: string }) {
  const { toggle } = useWhy();
  if (broods.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="broods" className="mt-4">
      <h2 id="broods" className="text-18">
        Growing up
      </h2>
      <ul className="mt-1">
        {broods.map((brood) => {
          const apart = brood.apart.value;
          return (
            <li key={brood.stockId} className="nursery-row">
              <span className="code">{brood.place}</span>
              <span className="min-w-0">
                <Link to={`/stock/${brood.stockId}`} className="font-semibold">
                  {brood.name}
                </Link>{' '}
                <i className="text-13 text-muted">{brood.species}</i>
                <small className="block text-13 text-muted">
                  {[brood.stageWord, brood.instar].filter(Boolean).join(', ')}
                  {brood.molt !== null && `, next molt about ${shortDate(brood.molt.p50, tonight)}`}
                </small>
              </span>
              <span>
                <b className="font-semibold">{brood.number.says}</b>
                <small className="block text-13 text-muted">
                  {Math.round(brood.living * 100)} of 100 alive
                  {brood.missing > 0 && <span className="text-hush"> · {brood.missing} unexplained</span>}
                </small>
              </span>
              <span className="min-w-0">
                {apart !== null && apart.state !== 'apart' && (
                  <span
                    className={`block ${apart.state === 'due' ? 'border-l-2 border-lampmark pl-2 font-semibold' : ''}`}
                  >
                    {brood.apart.summary}{' '}
                    <WhyButton
                      of={`when ${brood.name} go apart`}
                      onClick={() =>
                        toggle({ title: 'When do they go apart?', animal: whyOf(brood), ...brood.apart })
                      }
                    />
                  </span>
                )}
                <span
                  className={`block text-13 empty:hidden ${brood.isWorse ? 'border-l-2 border-ember pl-2' : 'text-muted'}`}
                >
                  {brood.says}{' '}
                  {brood.says !== '' && (
                    <WhyButton
                      of={`${brood.name} beside others`}
                      onClick={() =>
                        toggle({
                          title: 'Worse or better?',
                          animal: whyOf(brood),
                          summary: brood.says,
                          reasons: brood.why,
                        })
                      }
                    />
                  )}
                </span>
                <HandOnLine animal={whyOf(brood)} handOn={brood.handOn} />
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
