import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { clockTime, shortDate } from '../../ui/dates';
import { newId } from '../../ui/newId';
import { useLogChore } from '../Chores/queries';
import { ActDialogFor } from '../Journal/ActDialogFor';
import type { FormKind } from '../Journal/formKinds';
import { Said } from '../Reasons/Said';

type Tank = Schemas['TankView'];
type Mate = Schemas['TankMate'];

/** Shared tanks of crabs: who is up, room and floor, shells. */
export function Tanks({ tanks, tonight }: { tanks: readonly Tank[]; tonight: string }) {
  const [telling, setTelling] = useState<{ of: string; what: FormKind } | null>(null);
  if (tanks.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="tanks" className="mt-6">
      <h2 id="tanks" className="text-18">
        Crab tanks
      </h2>
      {tanks.map((tank) => {
        const board = tank.board.value;
        return board === null ? null : (
          <div key={tank.stockId} className="mt-1 border-t border-line py-2">
            <p>
              <span className="code">{tank.place}</span>{' '}
              <Link to={`/stock/${tank.stockId}`} className="font-semibold">
                {tank.name}
              </Link>{' '}
              <Said
                answer={tank.board}
                of={`the tank ${tank.name}`}
                title="Who is up, and what does it hold?"
                animal={null}
              />
            </p>
            <div className="grid grid-cols-[2fr_1fr] gap-x-6 max-sm:grid-cols-1">
              <ul>
                {board.mates.map((mate) => (
                  <MateLine
                    key={mate.stockId}
                    mate={mate}
                    tonight={tonight}
                    onShell={() => setTelling({ of: mate.stockId, what: 'shellTaken' })}
                    onMarks={() => setTelling({ of: mate.stockId, what: 'moltMarksSeen' })}
                    onGuard={() => setTelling({ of: mate.stockId, what: 'burialGuarded' })}
                  />
                ))}
              </ul>
              <div className="text-13 text-soft">
                {board.holds !== null && <p>Floor for about {board.holds} crabs of their size.</p>}
                {board.floor.map((says) => (
                  <p key={says}>{says}</p>
                ))}
                <p>{board.season}</p>
                <p>
                  {tank.shellsOn === null
                    ? 'Empty shells: nobody has counted them.'
                    : `Empty shells, ${shortDate(tank.shellsOn, tonight)}: ${
                        tank.shells.length === 0
                          ? 'none'
                          : tank.shells.map((l) => `${l.count} × ${l.openingMm} mm ${l.shape}`).join(', ')
                      }.`}
                </p>
                <p>{board.pools}</p>
                {tank.shellsOn !== null && board.buy.length > 0 && (
                  <p className="border-l-2 border-lampmark pl-2">Get {board.buy.join('; ')}.</p>
                )}
              </div>
            </div>
            <Matings lines={board.matings} tonight={tonight} />
            <details className="mt-1">
              <summary className="linkish inline-flex min-h-11 cursor-pointer items-center">
                When others dig at one that is down
              </summary>
              <ol className="list-decimal pl-5 text-13">
                {board.protect.map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
            </details>
            <span className="flex flex-wrap gap-x-3">
              <Button writes kind="link" onClick={() => setTelling({ of: tank.stockId, what: 'matingSeen' })}>
                Mating log…<span className="sr-only">: {tank.name}</span>
              </Button>
              <PlanPools tank={tank} grams={board.saltGrams} tonight={tonight} />
              <Button
                writes
                kind="link"
                onClick={() => setTelling({ of: tank.stockId, what: 'lookedRound' })}
              >
                Who is up…<span className="sr-only">: {tank.name}</span>
              </Button>
              <Button
                writes
                kind="link"
                onClick={() => setTelling({ of: tank.stockId, what: 'shellsCounted' })}
              >
                Empty shells…<span className="sr-only">: {tank.name}</span>
              </Button>
              <Link to="/bench" className="linkish self-center">
                Salt water and floor, reckoned
              </Link>
            </span>
          </div>
        );
      })}
      {telling !== null && (
        <ActDialogFor stockId={telling.of} kind={telling.what} onClose={() => setTelling(null)} />
      )}
    </section>
  );
}

/** What the mating log says, and at what hour to look next. */
function Matings({ lines, tonight }: { lines: readonly Schemas['MatingLine'][]; tonight: string }) {
  return lines.length === 0 ? null : (
    <ul className="mt-1 text-13" aria-label="Mating log">
      {lines.map((line) => (
        <li key={line.femaleId} className="border-t border-line py-1.5">
          <b className="font-semibold">{line.name}</b> {line.says}
          {line.lookAt.map((look) => (
            <span key={look.at} className="block border-l-2 border-lampmark pl-2">
              {clockTime(look.at)} look for {look.for}, without lifting her
            </span>
          ))}
          {line.carriedFrom !== null && line.carriedTo !== null && (
            <span className="block">
              Carries eggs; gives them off between {shortDate(line.carriedFrom, tonight)} and{' '}
              {shortDate(line.carriedTo, tonight)}. Larvae live at sea for weeks: hardly ever raised, nothing
              is promised.
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

const poolDays = 7;

/** Plans the changes of both pools as a chore, with the salt for a litre in its kit. */
function PlanPools({ tank, grams, tonight }: { tank: Tank; grams: number; tonight: string }) {
  const log = useLogChore('button');
  const [planned, setPlanned] = useState(false);
  return planned ? (
    <span className="self-center text-13 text-mosstext">New water is planned weekly, under Chores.</span>
  ) : (
    <Button
      writes
      kind="link"
      disabled={log.isPending}
      onClick={() =>
        log.mutate(
          {
            id: newId(),
            act: {
              kind: 'chorePlanned',
              choreId: newId(),
              plan: {
                kind: 'cleaning',
                title: `New water in both pools of ${tank.name}`.slice(0, 80),
                where: tank.place,
                starts: tonight,
                everyDays: poolDays,
                season: null,
                kit: `dechlorinated water; ${grams.toFixed(1)} g marine salt a litre for the salt pool`,
                minutes: 15,
              },
            },
            text: 'changes of water planned',
          },
          { onSuccess: () => setPlanned(true) },
        )
      }
    >
      Plan the pools’ water
    </Button>
  );
}

interface MateLineProps {
  mate: Mate;
  tonight: string;
  onShell: () => void;
  onMarks: () => void;
  onGuard: () => void;
}

function MateLine({ mate, tonight, onShell, onMarks, onGuard }: MateLineProps) {
  const where =
    mate.state === 'buried'
      ? `buried since ${mate.since === null ? '?' : shortDate(mate.since, tonight)}: leave alone`
      : mate.state === 'perhapsBuried'
        ? 'perhaps buried'
        : mate.since === null
          ? 'up'
          : `seen up ${shortDate(mate.since, tonight)}`;
  return (
    <li className="grid grid-cols-[1fr_1fr_1.4fr] gap-x-3 border-t border-line py-1.5 first:border-t-0 max-sm:grid-cols-1">
      <span>
        <Link to={`/stock/${mate.stockId}`} className="font-semibold">
          {mate.name}
        </Link>{' '}
        <i className="text-13 text-muted">{mate.species}</i>
      </span>
      <span className={`text-13 ${mate.state === 'up' ? 'text-soft' : 'text-hush'}`}>{where}</span>
      <span className="text-13 text-soft">
        {mate.clawMm === null ? 'claw not measured' : `claw ${mate.clawMm.toFixed(1)} mm`}
        {mate.shell !== '' && ` · shell ${mate.shell}`}
        {mate.needsFromMm !== null &&
          mate.needsToMm !== null &&
          ` · fits ${mate.needsFromMm.toFixed(0)}–${mate.needsToMm.toFixed(0)} mm, ${mate.fitting} empty`}{' '}
        <Button writes kind="link" onClick={onShell}>
          Shell…<span className="sr-only"> of {mate.name}</span>
        </Button>
        {mate.cameUp && (
          <Button writes kind="link" className="ml-3" onClick={onMarks}>
            Did it molt…<span className="sr-only"> {mate.name}</span>
          </Button>
        )}
        {mate.isDown && (
          <Button writes kind="link" className="ml-3" onClick={onGuard}>
            Others dig there…<span className="sr-only"> {mate.name}</span>
          </Button>
        )}
        {mate.says !== '' && <span className="block border-l-2 border-lampmark pl-2">{mate.says}</span>}
      </span>
    </li>
  );
}
