import { Link } from 'react-router';
import { shortDate, dayOf } from '../../ui/dates';
import type { PagePart } from '../Stock/pagePart';
import { NumbersBook } from './NumbersBook';

const numbers: PagePart = ({ animal }) =>
  animal.numbers !== null && (
    <>
      <h2 id="numbers" className="mt-4 mb-1 text-18">
        Numbers
      </h2>
      <NumbersBook animal={animal} numbers={animal.numbers} />
    </>
  );

const young: PagePart = ({ animal }) => (
  <>
    <h2 className="mt-4 mb-1 text-18">Young</h2>
    <ul className="text-13">
      {animal.births.map((birth) => (
        <li key={birth.youngId} className="border-t border-line py-1">
          {shortDate(dayOf(birth.at), animal.tonight)}: {birth.count} came out, now{' '}
          <Link to={`/stock/${birth.youngId}`} className="linkish">
            {birth.young}
          </Link>
        </li>
      ))}
    </ul>
  </>
);

/** What its records have to say on an animal's page. */
export const recordParts = { numbers, young };
