import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { useStock } from '../../api/queries';
import { dayDate, shortDate } from '../../ui/dates';
import { Lantern } from '../../ui/Lantern';
import { Waiting } from '../../ui/Waiting';
import { stageWord } from './words';

type Line = Schemas['StockLine'];

/** Everything that is kept, and what has left. */
export function StockPage() {
  const [here, setHere] = useState(true);
  const query = useStock(here);
  const navigate = useNavigate();
  return (
    <>
      <header className="flex flex-wrap items-end justify-between gap-3 px-6 pt-4 pb-3 max-sm:px-4">
        <div>
          <h1 className="text-30 max-sm:text-[24px]">Stock</h1>
          <p className="text-muted">{query.data === undefined ? ' ' : count(query.data, here)}</p>
        </div>
        <div className="flex gap-2">
          <button type="button" className="act px-3" aria-pressed={!here} onClick={() => setHere(!here)}>
            {here ? 'Show those that left' : 'Show those that are here'}
          </button>
          <button type="button" className="act act-first px-4" onClick={() => void navigate('/stock/new')}>
            Add an animal
          </button>
        </div>
      </header>
      <Waiting query={query} what="The stock">
        {(stock) => (stock.length === 0 ? <Empty here={here} /> : <Table stock={stock} here={here} />)}
      </Waiting>
    </>
  );
}

function count(stock: Line[], here: boolean): string {
  const animals = stock.reduce((sum, s) => sum + s.count, 0);
  const enclosures = stock.length === 1 ? '1 enclosure' : `${stock.length} enclosures`;
  return here ? `${enclosures}, ${animals} animals` : `${stock.length} left the collection`;
}

function Table({ stock, here }: { stock: Line[]; here: boolean }) {
  return (
    <div className="overflow-x-auto border-t border-line">
      <table className="w-full min-w-[720px] border-collapse max-sm:min-w-0">
        <thead>
          <tr className="text-left text-13 text-muted">
            <th scope="col" className="py-2 pr-2 pl-6 font-normal max-sm:pl-4">
              Place
            </th>
            <th scope="col" className="p-2 font-normal">
              Animal
            </th>
            <th scope="col" className="p-2 font-normal max-sm:hidden">
              Stage
            </th>
            <th scope="col" className="p-2 font-normal">
              Phase
            </th>
            <th scope="col" className="p-2 font-normal max-sm:hidden">
              Last meal
            </th>
            <th scope="col" className="p-2 font-normal max-sm:hidden">
              Last molt
            </th>
            <th scope="col" className="p-2 pr-6 font-normal max-sm:hidden">
              {here ? 'Awaited (8 of 10)' : 'Left'}
            </th>
          </tr>
        </thead>
        <tbody>
          {stock.map((s) => (
            <tr key={s.stockId} className="border-t border-line hover:bg-raised">
              <td className="py-2 pr-2 pl-6 max-sm:pl-4">
                <span className="code">{s.place}</span>
              </td>
              <td className="p-2">
                <Link
                  to={`/stock/${s.stockId}`}
                  className="font-display text-15 font-semibold hover:underline"
                >
                  {s.name}
                </Link>
                {s.kind !== 'specimen' && <span className="text-muted"> × {s.count}</span>}
                <i className="block text-13 text-muted">{s.species}</i>
              </td>
              <td className="p-2 max-sm:hidden">
                {s.kind === 'colony' ? 'colony' : stageWord[s.stage]}
                <span className="block text-13 text-muted">
                  {[s.sex === 'unknown' ? 'sex unknown' : s.sex, s.instar].filter(Boolean).join(', ')}
                </span>
              </td>
              <td className="p-2">
                <span className="flex items-center gap-2 max-sm:text-13">
                  <Lantern shutters={s.shutters} className="size-5" />
                  {s.phaseWord}
                </span>
              </td>
              <td className="p-2 max-sm:hidden">{s.lastMeal === null ? '–' : dayDate(s.lastMeal)}</td>
              <td className="p-2 max-sm:hidden">
                {s.lastMolt === null ? 'not seen' : shortDate(s.lastMolt, s.tonight)}
              </td>
              <td className="p-2 pr-6 max-sm:hidden">
                {s.departure !== null
                  ? `${departureWord[s.departure.kind]} ${shortDate(s.departure.at.slice(0, 10), s.tonight)}`
                  : awaited(s)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The window of what is awaited next, in words. */
function awaited(s: Line): string {
  if (s.awaited === null) {
    return s.kind === 'colony' ? '–' : 'no more molts';
  }
  const { vigil, p10, p90 } = s.awaited;
  const window = `${shortDate(p10, s.tonight)} – ${shortDate(p90, s.tonight)}`;
  return vigil === 'molt' ? window : `${waitWord[vigil]} ${window}`;
}

const waitWord: Record<Schemas['VigilKind'], string> = {
  molt: 'molts',
  surfacing: 'comes up',
  emergence: 'emerges',
  firstWorkers: 'first workers',
  young: 'young out',
};

const departureWord: Record<Schemas['DepartureKind'], string> = {
  died: 'died',
  sold: 'sold',
  givenAway: 'given away',
};

function Empty({ here }: { here: boolean }) {
  return (
    <p className="m-auto p-10 text-center text-muted">
      {here ? 'Nothing is kept here yet. Add the first animal.' : 'Nothing has left the collection.'}
    </p>
  );
}
