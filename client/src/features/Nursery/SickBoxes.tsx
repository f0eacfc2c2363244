import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { shortDate } from '../../ui/dates';

/** Boxes in which sick ones were seen of late: tended last, the others of their kind watched. */
export function SickBoxes({ boxes, tonight }: { boxes: readonly Schemas['SickBox'][]; tonight: string }) {
  return boxes.length === 0 ? null : (
    <section aria-labelledby="sick" className="mt-4 border-l-2 border-ember pl-3">
      <h2 id="sick" className="text-18">
        Sick ones
      </h2>
      <ul>
        {boxes.map((box) => (
          <li key={box.stockId} className="mt-1">
            <span className="code">{box.place}</span>{' '}
            <Link to={`/stock/${box.stockId}`} className="font-semibold">
              {box.name}
            </Link>{' '}
            <i className="text-13 text-muted">{box.species}</i>: {box.what}, {shortDate(box.seenOn, tonight)}.{' '}
            {box.advice} Until {shortDate(box.until, tonight)}.
            {box.lookAt.length > 0 && (
              <span className="block text-13 text-muted">Look daily at: {box.lookAt.join(', ')}</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
