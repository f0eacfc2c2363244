import { PageTitle } from '../../ui/PageTitle';
import { Link } from 'react-router';
import { Writes } from '../../ui/Writes';
import type { AnimalView } from '../../api/client';
import { dayDate, shortDate, toDays, dayOf } from '../../ui/dates';
import { Lantern } from '../../ui/Lantern';
import { AnimalFigure } from '../Animals/AnimalFigure';
import { figureOfAnimal } from '../Animals/figureOfAnimal';
import { AnimalActs } from './AnimalActs';
import { hasPart } from './pagePart';
import { hazardWord } from './words';

/** Who it is, how it is tonight, and what can be logged of it. */
export function AnimalHead({ animal }: { animal: AnimalView }) {
  const facts = [
    animal.phaseWord,
    [
      animal.details.kind === 'specimen' &&
        (animal.details.sex === 'unknown' ? 'sex unknown' : animal.details.sex),
      animal.stageWord !== animal.phaseWord && animal.stageWord,
      animal.instar,
    ]
      .filter(Boolean)
      .join(', '),
    animal.lastMolt === null
      ? hasPart(animal, 'signs') && 'no molt on record'
      : `${toDays(animal.tonight) - toDays(animal.lastMolt)} nights since the molt of ${shortDate(animal.lastMolt, animal.tonight)}`,
    animal.details.kind === 'tank' && `${animal.inmates.reduce((sum, i) => sum + i.count, 0)} in it`,
    animal.meal.value.lastMeal === null
      ? animal.tank === null && hasPart(animal, 'food') && 'not fed here yet'
      : `last fed ${dayDate(animal.meal.value.lastMeal)}`,
  ].filter((fact): fact is string => fact !== false && fact !== '');
  return (
    <header className="flex flex-wrap items-center gap-x-4 gap-y-2 px-6 pt-3 pb-2.5 max-sm:px-4">
      <Lantern
        shutters={animal.shutters}
        lit={animal.line.state === 'due'}
        className="size-11 max-sm:self-start"
      />
      <div className="min-w-0 flex-1 basis-60">
        <PageTitle>{`${animal.place} ${animal.details.nickname}`}</PageTitle>
        <h1 className="page-title leading-none">
          {animal.details.nickname}
          {animal.details.count > 1 && <span className="text-22 text-muted"> × {animal.details.count}</span>}
          <i className="ml-2.5 font-text text-18 font-normal tracking-normal text-muted max-sm:ml-0 max-sm:mt-1 max-sm:block max-sm:text-15">
            {animal.species}
          </i>
        </h1>
        <p className="-ml-3 mt-1.5 flex flex-wrap overflow-hidden text-muted">
          <span className="-ml-px border-l border-edge px-3 code text-ink">{animal.place}</span>
          {animal.tank !== null && (
            <span className="-ml-px border-l border-edge px-3">
              in{' '}
              <Link to={`/stock/${animal.tank.stockId}`} className="linkish">
                {animal.tank.name}
              </Link>
            </span>
          )}
          {facts.map((fact, k) => (
            <span
              key={fact}
              className={`-ml-px border-l border-edge px-3 ${k === 0 ? 'font-semibold text-ink' : ''}`}
            >
              {fact}
            </span>
          ))}
        </p>
        {animal.hazard !== null && (
          <p className="mt-1 font-semibold text-ember">{hazardWord[animal.hazard]}</p>
        )}
        <p className="mt-1 flex flex-wrap gap-x-4 text-13 text-muted">
          {(animal.details.tags ?? []).length > 0 && <span>{animal.details.tags?.join(' · ')}</span>}
          <Link to={`/stock/${animal.stockId}/card`} className="linkish">
            Care card
          </Link>
          {animal.details.kind !== 'tank' && (
            <a
              className="linkish"
              href={`/api/stock/${animal.stockId}/papers`}
              download={`${animal.details.nickname}.papers.zip`}
            >
              Papers to go along
            </a>
          )}
          <Link to="/paper/labels" state={{ stockIds: [animal.stockId] }} className="linkish">
            Label
          </Link>
          {animal.loan !== null && (
            <Link to={`/stock/${animal.stockId}/loan`} className="linkish">
              Loan sheet
            </Link>
          )}
        </p>
        {animal.details.borrowed != null && (
          <p className="mt-1 text-lamptext">
            {animal.details.borrowed.owner}’s
            {animal.details.borrowed.backBy == null
              ? ''
              : `, goes back by ${dayDate(animal.details.borrowed.backBy)}`}
            {animal.details.borrowed.share == null ? '' : `; agreed: ${animal.details.borrowed.share}`}
          </p>
        )}
        {animal.loan !== null && (
          <p className="mt-1 text-lamptext">
            With {animal.loan.to} since {shortDate(dayOf(animal.loan.at), animal.tonight)}
            {animal.loan.backBy === null ? '' : `, back by ${dayDate(animal.loan.backBy)}`}
            {animal.loan.share === null ? '' : `; agreed: ${animal.loan.share}`}
          </p>
        )}
        {animal.departure !== null && (
          <p className="mt-1 text-lamptext">
            Left the collection {shortDate(dayOf(animal.departure.at), animal.tonight)}
            {animal.departure.remark === null ? '' : `: ${animal.departure.remark}`}
          </p>
        )}
      </div>
      <AnimalFigure figure={figureOfAnimal(animal)} className="h-19 w-28 shrink-0 max-lg:hidden" />
      <Writes>
        <div className="flex flex-wrap items-center gap-1.5 text-13">
          {animal.departure === null ? (
            <AnimalActs animal={animal} />
          ) : (
            <Link to={`/stock/${animal.stockId}/edit`} className="linkish px-2 py-2">
              Change details
            </Link>
          )}
        </div>
      </Writes>
    </header>
  );
}
