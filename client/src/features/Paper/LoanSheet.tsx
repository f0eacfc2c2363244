import { Link, useParams } from 'react-router';
import type { AnimalView } from '../../api/client';
import { Button } from '../../ui/Button';
import { shortDate } from '../../ui/dates';
import { PageTitle } from '../../ui/PageTitle';
import { Waiting } from '../../ui/Waiting';
import { useAnimal } from '../Stock/queries';
import { hazardWord } from '../Stock/words';

/** So many pairings can be written down by hand. */
const rows = 5;

/** With the year, whatever year it is. */
const date = (night: string) => shortDate(night, '2000-01-01');

/** The sheet that goes with an animal on loan: what its host must know, and room for what comes of it. Nothing of the room. */
export function LoanSheet() {
  const { id = '' } = useParams();
  return (
    <Waiting query={useAnimal(id)} what="The animal">
      {(animal) => <Sheet animal={animal} />}
    </Waiting>
  );
}

function Sheet({ animal }: { animal: AnimalView }) {
  const entries = animal.journal.filter((line) => line.struckBy === null);
  const loan = entries.find((line) => line.act.kind === 'lent');
  const out = loan?.act.kind === 'lent' ? loan.act : null;
  const lentOn = loan?.night;
  const pairings = entries.filter((line) => line.act.kind === 'paired').length;
  const webs = entries.find((line) => line.act.kind === 'webLooked' && line.act.look === 'new');
  const adult = entries.findLast((line) => line.act.kind === 'molted' && line.act.ultimate);
  const facts: readonly (readonly [string, string | null])[] = [
    ['Species', animal.species],
    ['Sex', animal.details.sex === 'unknown' ? 'not known' : animal.details.sex],
    ['Line or locality', animal.details.line ?? null],
    ['Adult since', adult === undefined ? null : date(adult.night)],
    ['Last molt', animal.lastMolt === null ? null : date(animal.lastMolt)],
    ['Condition', animal.condition.summary],
    ['Paired so far', pairings === 0 ? 'not yet' : pairings === 1 ? 'once' : `${pairings} times`],
    ['Last sperm web seen', webs === undefined ? null : date(webs.night)],
    [
      'Last fed here',
      animal.meal.value.lastMeal === null ? 'not seen to eat' : date(animal.meal.value.lastMeal),
    ],
    ['Prey', animal.takesPrey ? animal.prey.summary : null],
    ['Beware', animal.hazard === null ? null : hazardWord[animal.hazard]],
    ['With', out === null ? null : out.to],
    ['Lent on', lentOn === undefined ? null : date(lentOn)],
    ['Back by', out?.backBy == null ? 'as agreed' : date(out.backBy)],
    ['Agreed of the offspring', out?.share ?? null],
  ];
  return (
    <article className="mx-auto w-full max-w-[820px] px-6 pt-4 pb-10 max-sm:px-4 print:max-w-none print:p-0 print:text-black">
      <PageTitle>{`Loan of ${animal.details.nickname}`}</PageTitle>
      <div className="mb-3 flex gap-3 print:hidden">
        <Button kind="first" onClick={() => window.print()}>
          Print
        </Button>
        <Link to={`/stock/${animal.stockId}`} className="act px-4">
          Back to {animal.details.nickname}
        </Link>
      </div>
      <h1 className="page-title">{animal.details.nickname}, on loan</h1>
      <dl className="my-3 grid grid-cols-[11rem_minmax(0,1fr)] gap-x-4 max-sm:grid-cols-[8rem_minmax(0,1fr)]">
        {facts.flatMap(([name, value]) =>
          value === null
            ? []
            : [
                <div key={name} className="contents">
                  <dt className="border-t border-line py-1 text-muted print:text-black">{name}</dt>
                  <dd className="border-t border-line py-1">{value}</dd>
                </div>,
              ],
        )}
      </dl>
      <h2 className="text-18">What comes of it</h2>
      <p className="mb-2 text-13">
        One line for each time they are put together; let him drink and eat in between, and note his webs.
      </p>
      <table className="w-full text-13">
        <thead>
          <tr>
            {['Evening', 'With', 'Seen, minutes', 'New web', 'His condition'].map((title) => (
              <th key={title} scope="col" className="border border-edge px-2 py-1 text-left">
                {title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: rows }, (_, k) => (
            <tr key={k}>
              {[0, 1, 2, 3, 4].map((cell) => (
                <td key={cell} className="h-9 border border-edge" />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </article>
  );
}
