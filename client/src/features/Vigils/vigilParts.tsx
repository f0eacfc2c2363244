import { Link } from 'react-router';
import { answerLine } from '../Reasons/WhyHead';
import type { PagePart } from '../Stock/pagePart';
import { EndsCharts } from './EndsChart';
import { EvidenceLadder } from './EvidenceLadder';
import { MoltCloseUp } from './MoltCloseUp';

/** What would change the reading, said beforehand. */
const turns: PagePart = ({ animal }) => (
  <dl className="mt-2 mb-1 grid grid-cols-[minmax(0,10.5rem)_minmax(0,1fr)] gap-x-3 text-13">
    {animal.turns.map((turn) => (
      <div key={turn.when} className="contents">
        <dt className="border-t border-line py-1 font-semibold">
          {turn.case === null ? (
            turn.when
          ) : (
            <Link to={`/guide?animal=${animal.stockId}&case=${turn.case}`} className="linkish text-ink">
              {turn.when}
            </Link>
          )}
        </dt>
        <dd className="border-t border-line py-1">{turn.then}</dd>
      </div>
    ))}
  </dl>
);

const firstMeal = answerLine('first', 'Why this wait?', (animal) => animal.firstMeal);

/** What signs and waits have to say on an animal's page. */
export const vigilParts = { awaited: MoltCloseUp, signs: EvidenceLadder, ends: EndsCharts, turns, firstMeal };
