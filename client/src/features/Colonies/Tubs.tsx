import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { shortDate } from '../../ui/dates';
import { ActDialogFor } from '../Journal/ActDialogFor';
import type { FormKind } from '../Journal/formKinds';
import { Said } from '../Reasons/Said';
import { CalciumSpans } from './CalciumSpans';

type Tub = Schemas['TubView'];

/** Tubs that live on calcium: what stands, how many there are, what may be taken, and signs of trouble. */
export function Tubs({
  tubs,
  tonight,
  isAlone = false,
}: {
  tubs: readonly Tub[];
  tonight: string;
  /** Whether it stands on the page of the tub, which names it and has its calcium already. */
  isAlone?: boolean;
}) {
  const [telling, setTelling] = useState<{ of: string; what: FormKind } | null>(null);
  if (tubs.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="tubs" className="mt-4">
      <h2 id="tubs" className="text-18">
        {isAlone ? 'Numbers and young' : 'Tubs and their calcium'}
      </h2>
      {!isAlone && (
        <p className="text-13 text-muted">
          At least two standing sources at once, one of them a fine powder. Full: nine of ten such pieces last
          so long; pale: half; a dot marks powder, the dashed line when to see to it.
        </p>
      )}
      <ul className="mt-1">
        {tubs.map((tub) => (
          <li key={tub.stockId} className={isAlone ? 'nursery-row is-alone' : 'nursery-row'}>
            {!isAlone && <span className="code">{tub.place}</span>}
            <Who tub={tub} tonight={tonight} isAlone={isAlone} />
            <span className="min-w-0">
              {!isAlone && (
                <span
                  className={
                    tub.calcium.value?.see != null && tub.calcium.value.see <= tonight
                      ? 'block border-l-2 border-lampmark pl-2 font-semibold'
                      : 'block'
                  }
                >
                  <Said
                    answer={tub.calcium}
                    of={`the calcium of ${tub.name}`}
                    title="Why calcium, and when?"
                    animal={tub}
                  />
                </span>
              )}
              <Trouble tub={tub} />
              <Growing tub={tub} />
            </span>
            <span className="min-w-0">
              {!isAlone && tub.calcium.value !== null && (
                <CalciumSpans lines={tub.calcium.value.lines} see={tub.calcium.value.see} tonight={tonight} />
              )}
              <span className="flex flex-wrap gap-x-3">
                {tells(tub, isAlone).map(([what, label]) => (
                  <Button writes key={what} kind="link" onClick={() => setTelling({ of: tub.stockId, what })}>
                    {label}
                    <span className="sr-only">: {tub.name}</span>
                  </Button>
                ))}
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

const tells = (tub: Tub, isAlone: boolean): readonly (readonly [FormKind, string])[] => [
  ...(isAlone ? [] : [['calciumLooked', 'Calcium seen or put in…'] as const]),
  ['tubLooked', 'Young or trouble…'],
  tub.markedCount === null ? ['marked', 'Mark some…'] : ['recaught', 'Caught again…'],
  ['scooped', 'Scoops…'],
];

function Who({ tub, tonight, isAlone }: { tub: Tub; tonight: string; isAlone: boolean }) {
  return (
    <span className="min-w-0">
      {!isAlone && (
        <>
          <Link to={`/stock/${tub.stockId}`} className="font-semibold">
            {tub.name}
          </Link>{' '}
          <i className="text-13 text-muted">{tub.species}</i>
        </>
      )}
      <small className="block text-13 text-muted">
        {tub.countedOn === null
          ? `about ${tub.count}, never counted`
          : `${tub.number}, counted ${shortDate(tub.countedOn, tonight)}`}
      </small>
      {tub.youngOn !== null && (
        <small className="block text-13 text-muted">young seen {shortDate(tub.youngOn, tonight)}</small>
      )}
      {tub.markedOn !== null && (
        <small className="block text-13">
          {tub.markedCount} marked {shortDate(tub.markedOn, tonight)}: catch again
        </small>
      )}
    </span>
  );
}

function Trouble({ tub }: { tub: Tub }) {
  const trouble = tub.trouble?.value ?? null;
  return trouble === null || tub.trouble === null ? null : (
    <span className="mt-1 block border-l-2 border-ember pl-2">
      {tub.trouble.summary}
      <ol className="ml-4 list-decimal text-13">
        {trouble.lookAt.map((look) => (
          <li key={look}>{look}</li>
        ))}
      </ol>
    </span>
  );
}

function Growing({ tub }: { tub: Tub }) {
  return (
    <>
      {tub.pouch !== null && (
        <span className="mt-1 block text-13 text-soft">
          <Said
            answer={tub.pouch}
            of={`the young of ${tub.name}`}
            title="When do the young come?"
            animal={tub}
          />
        </span>
      )}
      {tub.trend !== null && (
        <span className="mt-1 block text-13 text-soft">
          <Said answer={tub.trend} of={`the growth of ${tub.name}`} title="Does it grow?" animal={tub} />
        </span>
      )}
      {tub.harvest !== null && (
        <span className="mt-1 block text-13 text-soft">
          <Said
            answer={tub.harvest}
            of={`the harvest of ${tub.name}`}
            title="How many may be taken?"
            animal={tub}
          />
        </span>
      )}
    </>
  );
}
