import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { dateRange, shortDate } from '../../ui/dates';

/** What was found outside, place by place, and when something may be there again. */
export function Finds({ places, tonight }: { places: readonly Schemas['FindPlace'][]; tonight: string }) {
  if (places.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="finds" className="mt-6">
      <h2 id="finds" className="text-18">
        Found outside
      </h2>
      <p className="text-13 text-muted">
        Eggs come in waves: look again when something was found there before, and take few.
      </p>
      <ul className="mt-1">
        {places.map((place) => (
          <li
            key={place.place}
            className="grid grid-cols-[1fr_1fr_2fr] gap-x-4 border-t border-line py-2 max-sm:grid-cols-1"
          >
            <b className="font-semibold">{place.place}</b>
            <span>
              {place.lookFrom <= tonight ? 'look now' : `look from ${shortDate(place.lookFrom, tonight)}`}
              <small className="block text-13 text-muted">
                {dateRange(place.lookFrom, place.lookTo, tonight)}, as before
              </small>
            </span>
            <span className="text-13 text-soft">
              {place.finds.map((find) => (
                <span key={find.stockId} className="block">
                  {shortDate(find.on, tonight)}:{' '}
                  <Link to={`/stock/${find.stockId}`} className="linkish">
                    {find.name}
                  </Link>{' '}
                  <i>{find.species}</i>
                  {find.wereEggs && ', eggs'}
                  {find.host !== null && `, on ${find.host}`}
                </span>
              ))}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
