import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { dayDate, shortDate } from '../../ui/dates';
import { newId } from '../../ui/newId';
import { zoneWord } from './airWords';
import { ProgrammeForm } from './ProgrammeForm';
import { useLogClimate } from './queries';

interface ProgrammesProps {
  programmes: readonly Schemas['ProgrammeView'][];
  tonight: string;
}

const targetOf = (step: Schemas['ProgrammeStep']): string => {
  const warm = `${step.lowC}–${step.highC} °C`;
  const damp =
    step.lowHumidity === null && step.highHumidity === null
      ? ''
      : `, ${step.lowHumidity ?? 0}–${step.highHumidity ?? 100} %`;
  return warm + damp;
};

/** Seasons that are made: what is wanted where, from day to day, and how it was kept. */
export function Programmes({ programmes, tonight }: ProgrammesProps) {
  const [open, setOpen] = useState<Schemas['ProgrammeView'] | 'new' | null>(null);
  const log = useLogClimate('button');
  return (
    <section aria-labelledby="programmes">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <h2 id="programmes" className="text-22">
          Programmes
        </h2>
        <Button writes onClick={() => setOpen('new')}>
          Plan one
        </Button>
      </div>
      {programmes.length === 0 && (
        <p className="max-w-[62ch] text-13 text-muted">
          A cooling or dry season, a winter room, the thermostat’s targets: what is wanted where from day to
          day, held against what was read.
        </p>
      )}
      <ul className="mt-1">
        {programmes.map((programme) => (
          <li key={programme.id} className="border-t border-line py-2">
            <b className="font-display text-15 font-semibold">{programme.plan.name}</b>{' '}
            <span className="text-13 text-muted">{zoneWord(programme.plan.zone)}</span>
            <p className="text-13">
              {programme.kept.step !== null && <>Now {targetOf(programme.kept.step)}. </>}
              {programme.kept.next !== null && (
                <>
                  From {dayDate(programme.kept.next.from, tonight)} set {targetOf(programme.kept.next)}.{' '}
                </>
              )}
              <span className="text-soft">{programme.kept.says}</span>
            </p>
            <p className="text-13 text-muted">
              {programme.plan.steps.map((s) => `${shortDate(s.from, tonight)} ${targetOf(s)}`).join(' · ')} ·
              until {shortDate(programme.plan.until, tonight)}
            </p>
            <div className="flex gap-4">
              <Button writes kind="link" onClick={() => setOpen(programme)}>
                change<span className="sr-only">: {programme.plan.name}</span>
              </Button>
              <Button
                writes
                kind="link"
                className="text-muted"
                disabled={log.isPending}
                onClick={() =>
                  log.mutate({
                    id: newId(),
                    act: { kind: 'programmeDropped', programmeId: programme.id },
                    text: `${programme.plan.name} dropped`,
                  })
                }
              >
                drop<span className="sr-only">: {programme.plan.name}</span>
              </Button>
            </div>
          </li>
        ))}
      </ul>
      {open !== null && (
        <ProgrammeForm
          programme={open === 'new' ? null : open}
          tonight={tonight}
          onClose={() => setOpen(null)}
        />
      )}
    </section>
  );
}
