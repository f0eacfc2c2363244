import { Writes } from '../../ui/Writes';
import { Link } from 'react-router';
import type { AnimalView } from '../../api/client';
import { Lantern } from '../../ui/Lantern';

/** Those that live in a shared tank, each with how it is tonight. */
export function InmatesPanel({ animal }: { animal: AnimalView }) {
  return (
    <section className="min-w-0 border-t border-line px-6 pt-3 pb-4 max-sm:px-4" aria-labelledby="inmates">
      <h2 id="inmates" className="mb-1 text-18">
        In this tank
      </h2>
      {animal.inmates.length === 0 ? (
        <p className="text-muted">
          Nobody lives in it yet.{' '}
          <Writes>
            Open an animal and choose “Into a shared tank…”, or{' '}
            <Link to={`/stock/new?tank=${animal.stockId}`} className="linkish">
              add one
            </Link>
            .
          </Writes>
        </p>
      ) : (
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(280px,1fr))] gap-x-6">
          {animal.inmates.map((inmate) => (
            <li key={inmate.stockId} className="flex items-start gap-3 border-t border-line py-2">
              <Lantern shutters={inmate.shutters} className="size-7 shrink-0" />
              <div className="min-w-0">
                <Link
                  to={`/stock/${inmate.stockId}`}
                  className="font-display text-15 font-semibold hover:underline"
                >
                  {inmate.name}
                  {inmate.count > 1 && <span className="text-muted"> × {inmate.count}</span>}
                </Link>
                <span className="text-13 text-muted">
                  {' '}
                  {inmate.stageWord}, <i>{inmate.species}</i>
                </span>
                <p className="text-13">
                  <b className="font-semibold">{inmate.phaseWord}</b> · {inmate.text}
                </p>
              </div>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
