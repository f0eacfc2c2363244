import type { AnimalView, Schemas } from '../../api/client';
import { Link } from 'react-router';
import { DataTable } from '../../ui/DataTable';
import { Waiting } from '../../ui/Waiting';
import { WhyButton } from '../../ui/WhyButton';
import { useWhy, whyAnimal } from '../Reasons/WhyContext';
import { TrayPanel } from '../Trays/TrayPanel';
import { Fathers } from './Fathers';
import { useBrood } from './queries';
import { RiverDrawing } from './RiverDrawing';
import { type OtherCurve, SurvivalDrawing } from './SurvivalDrawing';

type Brood = Schemas['BroodView'];

const metres = (mm: number) => (Math.ceil(mm / 100) / 10).toFixed(1);

/** A brood as a whole: how many live, beside what is usual; when they go apart; vial by vial. */
export function BroodPanel({ animal }: { animal: AnimalView }) {
  return (
    <section aria-labelledby="brood" className="border-t border-line px-6 pt-3 pb-2 max-sm:px-4">
      <Waiting query={useBrood(animal.stockId)} what="The brood">
        {(brood) => <Drawn animal={animal} brood={brood} />}
      </Waiting>
    </section>
  );
}

function Drawn({ animal, brood }: { animal: AnimalView; brood: Brood }) {
  const { toggle } = useWhy();
  const measured = brood.measure.value;
  return (
    <>
      <h2 id="brood" className="text-18">
        The brood{' '}
        <span className="ml-1 font-text text-13 font-normal tracking-normal text-muted">
          {brood.number.says}
        </span>
      </h2>
      {brood.apart.value !== null && brood.apart.value.state !== 'apart' && (
        <p className="mt-1 max-w-[86ch]">
          <b className="font-semibold">{brood.apart.summary}</b>{' '}
          <WhyButton
            of="each alone"
            onClick={() =>
              toggle({ title: 'When do they go apart?', animal: whyAnimal(animal), ...brood.apart })
            }
          />{' '}
          <span className="text-13 text-muted">
            {metres(brood.apart.value.shelfMm)} m of shelf in one row, about {brood.apart.value.minutes} min
            {brood.apart.value.seed !== null && `; first ${brood.apart.value.seed}`}
          </span>
        </p>
      )}
      {measured !== null && (
        <p className={`mt-1 max-w-[86ch] ${measured.isWorse ? 'border-l-2 border-ember pl-2' : ''}`}>
          {brood.measure.summary}{' '}
          <WhyButton
            of="this brood beside others"
            onClick={() => toggle({ title: 'Worse or better?', animal: whyAnimal(animal), ...brood.measure })}
          />
        </p>
      )}
      <Fathers fathers={brood.fathers} />
      {brood.mayLeave !== null && <p className="mt-1 text-13 text-muted">{brood.mayLeave}</p>}
      <div className="mt-2 grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] gap-x-8 max-lg:grid-cols-1">
        <figure className="min-w-0">
          <figcaption className="text-13 text-muted">
            How many live: who went alive leaves upward, who was lost downward
          </figcaption>
          <RiverDrawing river={brood.river} tonight={animal.tonight} name={animal.details.nickname} />
          <Offshoots river={brood.river} />
        </figure>
        <Curve brood={brood} />
      </div>
      {brood.vials.length > 0 && <TrayPanel animal={animal} brood={brood} />}
    </>
  );
}

/** The records that came of it, or that it came from. */
function Offshoots({ river }: { river: Schemas['BroodRiver'] }) {
  const parties = river.bends.flatMap((bend) =>
    bend.to === null || bend.branch === 'more' ? [] : [{ ...bend, to: bend.to }],
  );
  if (parties.length === 0) {
    return null;
  }
  return (
    <p className="mt-1 text-13 text-muted">
      Gone on elsewhere:{' '}
      {parties.map((bend, k) => (
        <span key={`${bend.to.stockId} ${k}`}>
          {k > 0 && ', '}
          <Link to={`/stock/${bend.to.stockId}`} className="linkish">
            {bend.to.name === '' ? 'a record of its own' : bend.to.name}
          </Link>
          {bend.count > 1 && ` (${bend.count})`}
        </span>
      ))}
    </p>
  );
}

const byWord: Readonly<Record<Schemas['BroodYardstick'], string>> = {
  ownBroods: 'your earlier broods',
  rulebook: 'the rulebook',
};

function Curve({ brood }: { brood: Brood }) {
  const { curve, measure } = brood;
  const step = (s: Schemas['SurvivalStep']) => [s.time, s.survival] as const;
  const unsure = [curve.earliest, curve.latest].filter(
    (c) => c.steps.length > 0 && c.steps.some((s, k) => s.time !== curve.middle.steps[k]?.time),
  );
  const usual = measure.value;
  const others: OtherCurve[] = [
    ...unsure.map((c) => ({ points: c.steps.map(step), dash: '1 3', colour: 'var(--moss)' })),
    ...(usual === null || usual.usual.length === 0
      ? []
      : [
          {
            points: usual.usual.map((u) => [u.ageDays, u.living] as const),
            dash: '6 4',
            colour: 'var(--lampmark)',
          },
        ]),
  ];
  return (
    <figure className="min-w-0">
      <figcaption className="text-13 text-muted">
        Alive of 100 by age, with what is likely 95 times in 100
        {usual !== null && usual.usual.length > 0 && (
          <>
            ; dashed: {byWord[usual.by]}
            {usual.broods > 0 && ` (${usual.broods} of them, ${usual.animals} animals)`}
          </>
        )}
        {unsure.length > 0 && '; dotted: every loss as early or as late as it can have been'}
      </figcaption>
      <SurvivalDrawing
        steps={curve.middle.steps}
        median={curve.middle.median}
        until={curve.ageDays}
        start={curve.fromHatching ? 'hatched' : 'came'}
        others={others}
      />
      {curve.instars.length > 1 && (
        <DataTable
          label="Instar by instar"
          rows={curve.instars}
          keyOf={(i) => i.instar}
          columns={[
            { id: 'instar', title: 'Instar', names: true, cell: (i) => i.instar },
            { id: 'from', title: 'From day', right: true, cell: (i) => Math.round(i.fromDays) },
            { id: 'lost', title: 'Lost', right: true, cell: (i) => i.lost },
            {
              id: 'through',
              title: 'Lived through',
              right: true,
              cell: (i) => `${Math.round(i.living * 100)} of 100${i.toDays === null ? ' so far' : ''}`,
            },
          ]}
        />
      )}
      {usual !== null && (
        <>
          <EarlierLine broods={usual.byOrigin} age={curve.ageDays} />
          <EarlierLine broods={usual.byRearing} age={curve.ageDays} />
        </>
      )}
    </figure>
  );
}

/** How many of the earlier broods lived at this age, part by part. */
function EarlierLine({ broods, age }: { broods: readonly Schemas['EarlierBroods'][]; age: number }) {
  const alive = (b: Schemas['EarlierBroods']) =>
    Math.round((b.curve.steps.findLast((s) => s.time <= age)?.survival ?? 1) * 100);
  return broods.length === 0 ? null : (
    <p className="mt-1 text-13 text-muted">
      At this age of your broods: {broods.map((b) => `${b.of} ${alive(b)} of 100`).join(', ')}.
    </p>
  );
}
