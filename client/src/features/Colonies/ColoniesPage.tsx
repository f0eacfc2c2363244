import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { dateRange, shortDate } from '../../ui/dates';
import { EmptyState } from '../../ui/EmptyState';
import { Lantern } from '../../ui/Lantern';
import { PageTitle } from '../../ui/PageTitle';
import { Waiting } from '../../ui/Waiting';
import { WhyButton } from '../../ui/WhyButton';
import { ActDialogFor } from '../Journal/ActDialogFor';
import { useWhy } from '../Reasons/WhyContext';
import { CalciumSpans } from './CalciumSpans';
import { useColonies } from './queries';

/** Tubs that nobody can count, queens that found, colonies that grow. */
export function ColoniesPage() {
  return (
    <div className="px-6 pt-4 pb-10 max-sm:px-4">
      <PageTitle>Colonies</PageTitle>
      <h1 className="page-title">What stands in the tubs, and who founds?</h1>
      <Waiting query={useColonies()} what="The colonies">
        {(desk) =>
          desk.tubs.length + desk.ants.length === 0 ? (
            <EmptyState
              title="No colony yet"
              text="Tubs of isopods, founding queens and colonies of ants stand here once they are written down."
            />
          ) : (
            <>
              <Tubs tubs={desk.tubs} tonight={desk.tonight} />
              <Ants ants={desk.ants} tonight={desk.tonight} />
            </>
          )
        }
      </Waiting>
    </div>
  );
}

function Tubs({ tubs, tonight }: { tubs: readonly Schemas['TubView'][]; tonight: string }) {
  const { toggle } = useWhy();
  const [looking, setLooking] = useState<string | null>(null);
  if (tubs.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="tubs" className="mt-4">
      <h2 id="tubs" className="text-18">
        Calcium in the tubs
      </h2>
      <p className="text-13 text-muted">
        At least two standing sources at once, one of them a fine powder. Full: nine of ten such pieces last
        so long; pale: half; a dot marks powder, the dashed line when to see to it.
      </p>
      <ul className="mt-1">
        {tubs.map((tub) => (
          <li key={tub.stockId} className="nursery-row">
            <span className="code">{tub.place}</span>
            <span className="min-w-0">
              <Link to={`/stock/${tub.stockId}`} className="font-semibold">
                {tub.name}
              </Link>{' '}
              <i className="text-13 text-muted">{tub.species}</i>
              <small className="block text-13 text-muted">
                about {tub.count}
                {tub.countedOn === null
                  ? ', never counted'
                  : `, counted ${shortDate(tub.countedOn, tonight)}`}
              </small>
            </span>
            <span
              className={
                tub.calcium.value?.see != null && tub.calcium.value.see <= tonight
                  ? 'border-l-2 border-lampmark pl-2 font-semibold'
                  : ''
              }
            >
              {tub.calcium.summary}{' '}
              <WhyButton
                of={`the calcium of ${tub.name}`}
                onClick={() => toggle({ title: 'Why calcium, and when?', animal: tub, ...tub.calcium })}
              />
            </span>
            <span className="min-w-0">
              {tub.calcium.value !== null && (
                <CalciumSpans lines={tub.calcium.value.lines} see={tub.calcium.value.see} tonight={tonight} />
              )}
              <Button kind="link" onClick={() => setLooking(tub.stockId)}>
                Seen or put in…<span className="sr-only">: calcium of {tub.name}</span>
              </Button>
            </span>
          </li>
        ))}
      </ul>
      {looking !== null && (
        <ActDialogFor stockId={looking} kind="calciumLooked" onClose={() => setLooking(null)} />
      )}
    </section>
  );
}

const founds: Record<NonNullable<Schemas['Founding']>, string> = {
  claustral: 'founds shut in, without food',
  semiClaustral: 'goes out for food while she founds',
};

function Ants({ ants, tonight }: { ants: readonly Schemas['AntsView'][]; tonight: string }) {
  if (ants.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="ants" className="mt-6">
      <h2 id="ants" className="text-18">
        Queens and colonies
      </h2>
      <ul className="mt-1">
        {ants.map((a) => (
          <li key={a.stockId} className="nursery-row">
            <span className="code">{a.place}</span>
            <span className="min-w-0">
              <Link to={`/stock/${a.stockId}`} className="font-semibold">
                {a.name}
              </Link>{' '}
              <i className="text-13 text-muted">{a.species}</i>
              <small className="block text-13 text-muted">
                {a.isQueenAlone
                  ? a.founding === null
                    ? 'a queen; how she founds is not known'
                    : `a queen; ${founds[a.founding]}`
                  : `about ${a.count}`}
              </small>
            </span>
            <span className="flex items-start gap-2">
              <Lantern shutters={a.shutters} className="mt-0.5 size-5 flex-none" />
              <span>
                {a.phaseWord}
                {a.first !== null && (
                  <small className="block text-13 text-muted">
                    first workers {dateRange(a.first.p10, a.first.p90, tonight)}, half by{' '}
                    {shortDate(a.first.p50, tonight)}
                  </small>
                )}
              </span>
            </span>
            <span className="text-13 text-soft">
              {a.do}
              {a.lookOn !== null && (
                <small className="block text-13 text-muted">
                  tube: next look {a.lookOn <= tonight ? 'tonight' : shortDate(a.lookOn, tonight)}
                  {a.lookedOn !== null && `, last ${shortDate(a.lookedOn, tonight)}`}
                </small>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
