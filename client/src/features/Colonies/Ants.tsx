import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { dateRange, shortDate } from '../../ui/dates';
import { Lantern } from '../../ui/Lantern';
import { ActDialogFor } from '../Journal/ActDialogFor';
import type { FormKind } from '../Journal/formKinds';
import { DayStrip } from '../Nursery/DayStrip';
import { Said } from '../Reasons/Said';
import { ChainDrawing } from './ChainDrawing';
import { GrowthDrawing } from './GrowthDrawing';

type AntsRow = Schemas['AntsView'];

const founds: Record<NonNullable<Schemas['Founding']>, string> = {
  claustral: 'founds shut in, without food',
  semiClaustral: 'goes out for food while she founds',
};

/** Queens that found and colonies that grow. */
export function Ants({
  ants,
  tonight,
  isAlone = false,
}: {
  ants: readonly AntsRow[];
  tonight: string;
  /** Whether it stands on the page of the queen or colony, which names it. */
  isAlone?: boolean;
}) {
  const [telling, setTelling] = useState<{ of: string; what: FormKind } | null>(null);
  if (ants.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="ants" className="mt-6">
      <h2 id="ants" className="text-18">
        {isAlone ? 'Founding and growth' : 'Queens and colonies'}
      </h2>
      <ul className="mt-1">
        {ants.map((a) => (
          <li key={a.stockId} className={isAlone ? 'nursery-row is-alone' : 'nursery-row'}>
            {!isAlone && <span className="code">{a.place}</span>}
            <Who ants={a} tonight={tonight} isAlone={isAlone} />
            <span className="min-w-0">
              <Ahead ants={a} tonight={tonight} />
            </span>
            <span className="min-w-0 text-13 text-soft">
              {!isAlone && a.do}
              {a.lookOn !== null && (
                <small className="block text-13 text-muted">
                  tube: next look {a.lookOn <= tonight ? 'tonight' : shortDate(a.lookOn, tonight)}
                  {a.lookedOn !== null && `, last ${shortDate(a.lookedOn, tonight)}`}
                </small>
              )}
              <Nest ants={a} />
              <span className="flex flex-wrap gap-x-3">
                <Button writes kind="link" onClick={() => setTelling({ of: a.stockId, what: 'peeked' })}>
                  Peeked…<span className="sr-only"> {a.name}</span>
                </Button>
                {a.isQueenAlone && a.mated === '' && (
                  <Button
                    writes
                    kind="link"
                    onClick={() => setTelling({ of: a.stockId, what: 'queenCaught' })}
                  >
                    How caught…<span className="sr-only"> {a.name}</span>
                  </Button>
                )}
                {a.nest !== null && (
                  <Button writes kind="link" onClick={() => setTelling({ of: a.stockId, what: 'nestMoved' })}>
                    Into another nest…<span className="sr-only"> {a.name}</span>
                  </Button>
                )}
              </span>
            </span>
          </li>
        ))}
      </ul>
      {telling !== null && (
        <ActDialogFor stockId={telling.of} kind={telling.what} onClose={() => setTelling(null)} />
      )}
    </section>
  );
}

function Who({ ants: a, tonight, isAlone }: { ants: AntsRow; tonight: string; isAlone: boolean }) {
  return (
    <span className="min-w-0">
      {!isAlone && (
        <>
          <Link to={`/stock/${a.stockId}`} className="font-semibold">
            {a.name}
          </Link>{' '}
          <i className="text-13 text-muted">{a.species}</i>
        </>
      )}
      <small className="block text-13 text-muted">
        {a.isQueenAlone
          ? a.founding === null
            ? 'a queen; how she founds is not known'
            : `a queen; ${founds[a.founding]}`
          : a.growth?.value == null
            ? 'a colony; workers never counted'
            : `a colony, ${a.growth.value.counts.at(-1)?.workers} workers`}
      </small>
      <span className="mt-1 flex items-center gap-2 text-13">
        <Lantern shutters={a.shutters} className="size-5 flex-none" />
        {a.phaseWord}
      </span>
      {a.mated !== '' && <small className="block text-13 text-muted">{a.mated}</small>}
      {a.seen !== '' && (
        <small className="block text-13 text-muted">
          last seen: {a.seen}
          {a.seenOn !== null && `, ${shortDate(a.seenOn, tonight)}`}
        </small>
      )}
    </span>
  );
}

/** What is awaited: the founding stage by stage, the winter, or the growth. */
function Ahead({ ants: a, tonight }: { ants: AntsRow; tonight: string }) {
  const chain = a.chain?.value ?? null;
  const winter = a.winter?.value ?? null;
  const growth = a.growth?.value ?? null;
  return (
    <>
      {chain !== null && a.chain !== null && (
        <>
          <b className="font-semibold">
            <Said answer={a.chain} of={`the founding of ${a.name}`} title="When do they come?" animal={a} />
          </b>
          <ChainDrawing steps={chain.steps} tonight={tonight} />
          {chain.isTooWarm && (
            <small className="block border-l-2 border-ember pl-2 text-13">
              Warmer than {chain.tubeMostC} °C there: move the tube now. Heat at the water end or one side
              only, never near her.
            </small>
          )}
          {chain.mind.map((mind) => (
            <small key={mind} className="block text-13">
              {mind}
            </small>
          ))}
          {chain.whatIf.length > 0 && (
            <small className="block text-13 text-muted">
              First workers at{' '}
              {chain.whatIf.map((w) => `${w.celsius} °C about ${shortDate(w.likely, tonight)}`).join(', at ')}
            </small>
          )}
        </>
      )}
      {chain === null && a.first !== null && (
        <span className="block">
          first workers {dateRange(a.first.p10, a.first.p90, tonight)}, half by{' '}
          {shortDate(a.first.p50, tonight)}
        </span>
      )}
      {growth !== null && a.growth !== null && (
        <>
          <Said answer={a.growth} of={`the growth of ${a.name}`} title="How does it grow?" animal={a} />
          <GrowthDrawing growth={growth} tonight={tonight} />
          <small className="block text-13 text-muted">
            About {Math.round(growth.larvae)} larvae: {Math.max(1, Math.round(growth.proteinMgPerDay))} mg of
            insect a day, or they eat each other.
            {growth.movesOn !== null && ` Crowded in its tube about ${shortDate(growth.movesOn, tonight)}.`}
          </small>
        </>
      )}
      {winter !== null && a.winter !== null && (
        <small className={`block text-13 ${winter.isDue ? 'border-l-2 border-lampmark pl-2' : 'text-muted'}`}>
          <Said answer={a.winter} of={`the winter of ${a.name}`} title="Its winter" animal={a} />
          {winter.meansC.length > 0 && <DayStrip meansC={winter.meansC} belowC={winter.mostC} />}
        </small>
      )}
    </>
  );
}

function Nest({ ants: a }: { ants: AntsRow }) {
  const nest = a.nest?.value ?? null;
  return nest === null || a.nest === null ? null : (
    <span className={`block ${nest.isDue ? 'border-l-2 border-lampmark pl-2' : ''}`}>
      <Said answer={a.nest} of={`the nest of ${a.name}`} title="When and how does it move?" animal={a} />
      {nest.isDue && nest.move === null && (
        <small className="block text-13 text-muted">Have ready: {nest.ready.join('; ')}.</small>
      )}
    </span>
  );
}
