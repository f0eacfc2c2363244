import type { Schemas } from '../../api/client';
import { EmptyState } from '../../ui/EmptyState';
import { PageTitle } from '../../ui/PageTitle';
import { shortDate } from '../../ui/dates';
import { Waiting } from '../../ui/Waiting';
import { Ants } from './Ants';
import { useColonies } from './queries';
import { Tanks } from './Tanks';
import { Tubs } from './Tubs';

/** Tubs that nobody can count, queens that found, colonies that grow. */
export function ColoniesPage() {
  return (
    <div className="px-6 pt-4 pb-10 max-sm:px-4">
      <PageTitle>Colonies</PageTitle>
      <h1 className="page-title">What stands in the tubs, and who founds?</h1>
      <Waiting query={useColonies()} what="The colonies">
        {(desk) =>
          desk.tubs.length + desk.ants.length + desk.tanks.length === 0 ? (
            <EmptyState
              title="No colony yet"
              text="Tubs of isopods, founding queens, colonies of ants and crab tanks stand here once they are written down."
            />
          ) : (
            <>
              <Tubs tubs={desk.tubs} tonight={desk.tonight} />
              <Ants ants={desk.ants} tonight={desk.tonight} />
              <Tanks tanks={desk.tanks} tonight={desk.tonight} />
              <Flights flights={desk.flights} tonight={desk.tonight} />
            </>
          )
        }
      </Waiting>
    </div>
  );
}

function Flights({ flights, tonight }: { flights: readonly Schemas['FlightSeason'][]; tonight: string }) {
  return flights.length === 0 ? null : (
    <section aria-labelledby="flights" className="mt-6">
      <h2 id="flights" className="text-18">
        Nuptial flights
      </h2>
      <p className="text-13 text-muted">
        Warm, still evenings after rain. Only species native to your place are kept; nothing foreign is let
        out.
      </p>
      <ul className="mt-1 grid max-w-[720px] grid-cols-2 gap-x-6 max-sm:grid-cols-1">
        {flights.map((flight) => (
          <li key={flight.species} className="flex justify-between gap-3 border-t border-line py-1.5">
            <i>{flight.species}</i>
            <span className="text-right text-13 text-soft">
              {flight.daysLeft !== null ? (
                <b className="font-semibold">
                  flies now, {flight.daysLeft} day{flight.daysLeft === 1 ? '' : 's'} left
                </b>
              ) : (
                `${shortDate(flight.from, tonight)} – ${shortDate(flight.to, tonight)}`
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
