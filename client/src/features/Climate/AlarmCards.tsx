import { TriangleAlert } from 'lucide-react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { newId } from '../../ui/newId';
import { WhyButton } from '../../ui/WhyButton';
import { useWhy } from '../Reasons/WhyContext';
import { isLoud, isOfSensor, stateWord } from './airWords';
import { useLogClimate } from './queries';

const snoozeMinutes = 60;
const namesShown = { brief: 2, whole: 6 };

interface AlarmCardsProps {
  alarms: readonly Schemas['ClimateAlarm'][];
  /** Beside other work: the first thing to do, and few names. */
  brief?: boolean;
}

/** Alarms, each with what to do now, and an answer. */
export function AlarmCards({ alarms, brief = false }: AlarmCardsProps) {
  return (
    <ul className="grid gap-2" aria-label="Alarms">
      {alarms.map((alarm) => (
        <AlarmCard key={alarm.key} alarm={alarm} brief={brief} />
      ))}
    </ul>
  );
}

function AlarmCard({ alarm, brief }: { alarm: Schemas['ClimateAlarm']; brief: boolean }) {
  const log = useLogClimate('button');
  const { toggle } = useWhy();
  const loud = isLoud(alarm);
  const names = brief ? namesShown.brief : namesShown.whole;
  const answer = (act: Schemas['ClimateAct'], text: string) => log.mutate({ id: newId(), act, text });
  return (
    <li
      className={`rounded-s border-l-4 bg-panel px-4 ${brief ? 'py-2' : 'py-3'} ${loud ? (alarm.isDanger ? 'border-ember' : 'border-lampmark') : 'border-edge'}`}
    >
      <div className="flex flex-wrap items-start justify-between gap-x-4 gap-y-2">
        <div className="min-w-0 flex-1 basis-72">
          <p className="flex items-start gap-2 font-semibold">
            {loud && (
              <TriangleAlert
                className={`mt-0.5 size-5 flex-none ${alarm.isDanger ? 'text-ember' : 'text-lamptext'}`}
                aria-hidden="true"
              />
            )}
            <span>
              {alarm.says} <span className="font-normal text-muted">{stateWord(alarm)}</span>{' '}
              {!brief && (
                <WhyButton
                  of={`the alarm of ${alarm.sensor}`}
                  onClick={() =>
                    toggle({
                      title: 'Why is this called out?',
                      animal: null,
                      summary: alarm.says,
                      reasons: alarm.why,
                    })
                  }
                />
              )}
            </span>
          </p>
          {alarm.for.length > 0 && (
            <p className="mt-1 text-13 text-soft">
              For{' '}
              {alarm.for.slice(0, names).map((animal, i) => (
                <span key={animal.stockId}>
                  {i > 0 && ', '}
                  <Link className="linkish" to={`/stock/${animal.stockId}`}>
                    {animal.place} {animal.name}
                  </Link>
                  {animal.isHushed && ' (hushed)'}
                </span>
              ))}
              {alarm.for.length > names && ` and ${alarm.for.length - names} more`}
            </p>
          )}
        </div>
        {loud && (
          <div className="flex flex-wrap gap-2">
            <Button
              writes
              kind="first"
              disabled={log.isPending}
              onClick={() =>
                answer({ kind: 'alarmSeen', alarm: alarm.key, since: alarm.since }, 'alarm seen')
              }
            >
              I see to it
            </Button>
            <Button
              writes
              disabled={log.isPending}
              onClick={() =>
                answer(
                  { kind: 'alarmSnoozed', alarm: alarm.key, since: alarm.since, minutes: snoozeMinutes },
                  'alarm silent for an hour',
                )
              }
            >
              Silent for 1 h
            </Button>
          </div>
        )}
      </div>
      <ol
        className={`mt-2 grid gap-0.5 text-13 ${isOfSensor(alarm) ? 'text-soft' : ''}`}
        aria-label="What to do now"
      >
        {alarm.now.slice(0, brief ? 1 : undefined).map((step) => (
          <li key={step} className="flex gap-2">
            <span aria-hidden="true">›</span>
            {step}
          </li>
        ))}
      </ol>
    </li>
  );
}
