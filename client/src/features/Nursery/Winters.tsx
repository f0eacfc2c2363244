import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { shortDate, toDays } from '../../ui/dates';
import { WhyButton } from '../../ui/WhyButton';
import { useDone } from '../Journal/DoneContext';
import { useWhy } from '../Reasons/WhyContext';
import { DayStrip } from './DayStrip';
import { WarmUpDrawing } from './WarmUpDrawing';

const sexes: Record<Schemas['Sex'], string> = { female: '♀', male: '♂', unknown: '' };

interface Props {
  winters: readonly Schemas['PupaInWinter'][];
  plans: readonly Schemas['SpeciesWarmUp'][];
  tonight: string;
}

/** Pupae that need their cold: what they had of it, and when to take them out. */
export function Winters({ winters, plans, tonight }: Props) {
  const { toggle } = useWhy();
  if (winters.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="winters" className="mt-6">
      <h2 id="winters" className="text-18">
        Pupae and their winter
      </h2>
      {plans.map((plan) => (
        <WarmUp key={plan.species} plan={plan} tonight={tonight} />
      ))}
      <ul className="mt-1">
        {winters.map((pupa) => (
          <li key={pupa.stockId} className="nursery-row">
            <span className="code">{pupa.place}</span>
            <span className="min-w-0">
              <Link to={`/stock/${pupa.stockId}`} className="font-semibold">
                {pupa.name}
              </Link>{' '}
              {sexes[pupa.sex]} <i className="text-13 text-muted">{pupa.species}</i>
              <small className="block text-13 text-muted">
                {pupa.since === null
                  ? 'not in the cold yet'
                  : `in the cold for ${toDays(tonight) - toDays(pupa.since)} nights`}
                {pupa.count > 1 && `, ${pupa.count} of them`}
              </small>
            </span>
            <span>
              <b className="font-semibold">
                {pupa.isDone
                  ? `all ${Math.ceil(pupa.neededWeeks * 7)} cold days done`
                  : `${pupa.days.doneDays} of ${Math.ceil(pupa.neededWeeks * 7)} cold days`}
              </b>{' '}
              <WhyButton
                of={`the winter of ${pupa.name}`}
                onClick={() =>
                  toggle({
                    title: 'Its winter',
                    animal: {
                      stockId: pupa.stockId,
                      place: pupa.place,
                      name: pupa.name,
                      species: pupa.species,
                    },
                    ...pupa.forecast,
                  })
                }
              />
              {pupa.meansC.length > 0 && <DayStrip meansC={pupa.meansC} belowC={pupa.belowC} />}
            </span>
            <span className="text-13 text-soft">
              {pupa.phase.summary}
              {pupa.besides !== '' && (
                <small className={`block text-13 ${pupa.isDone ? 'text-muted' : 'text-lamptext'}`}>
                  {pupa.besides}
                </small>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function WarmUp({ plan, tonight }: { plan: Schemas['SpeciesWarmUp']; tonight: string }) {
  const { toggle } = useWhy();
  const { logMany, busy } = useDone();
  const isKept = plan.pupae.every((p) => p.kept === p.on);
  const someKept = plan.pupae.some((p) => p.kept !== null);
  const plans = (on: (p: Schemas['WarmUpPupa']) => string | null) =>
    void logMany(
      plan.pupae.map((p) => ({ stockId: p.stockId, act: { kind: 'warmUpPlanned', on: on(p) } })),
      `nights out of the cold of ${plan.species}`,
    );
  return (
    <div className="mt-2 border-t border-line pt-2">
      <p>
        <i className="text-muted">{plan.species}</i> {plan.says}{' '}
        {plan.why.length > 0 && (
          <WhyButton
            of={`the nights on which ${plan.species} are warmed`}
            onClick={() =>
              toggle({ title: 'When to warm them', animal: null, summary: plan.says, reasons: plan.why })
            }
          />
        )}
      </p>
      {plan.unsexed > 0 && plan.pupae.length > 0 && (
        <p className="text-13 text-muted">
          {plan.unsexed === 1
            ? 'One more, whose sex is not told, is left out.'
            : `${plan.unsexed} more, whose sex is not told, are left out.`}
        </p>
      )}
      {plan.pupae.length > 0 && (
        <>
          <WarmUpDrawing pupae={plan.pupae} tonight={tonight} />
          <p className="flex flex-wrap items-center gap-x-3">
            {isKept ? (
              <span className="text-13">These nights are on the round.</span>
            ) : (
              <Button writes kind="link" disabled={busy} onClick={() => plans((p) => p.on)}>
                {someKept ? 'Keep these nights instead' : 'Put these nights on the round'}
                <span className="sr-only">: {plan.species}</span>
              </Button>
            )}
            {someKept && (
              <Button writes kind="link" disabled={busy} onClick={() => plans(() => null)}>
                Take them off<span className="sr-only">: {plan.species}</span>
              </Button>
            )}
          </p>
          {someKept && !isKept && (
            <p className="text-13 text-muted">
              On the round:{' '}
              {plan.pupae
                .flatMap((p) => (p.kept === null ? [] : [`${p.name} ${shortDate(p.kept, tonight)}`]))
                .join(', ')}
            </p>
          )}
          <p className="text-13 text-muted">
            Dot: taken out of the cold. Band: comes out, 8 times in 10. Line: its usual life, from the middle
            of the band.
          </p>
          <ul className="sr-only">
            {plan.pupae.map((p) => (
              <li key={p.stockId}>
                {p.name}, {p.count > 1 ? `${p.count} of either sex` : p.sex}: taken out{' '}
                {shortDate(p.on, tonight)}, out of the pupa {shortDate(p.emergesFrom, tonight)} to{' '}
                {shortDate(p.emergesTo, tonight)}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
