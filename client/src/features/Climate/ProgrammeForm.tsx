import { type SubmitEvent, useState } from 'react';
import { refusalOf, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { fromDays, toDays } from '../../ui/dates';
import { Dialog } from '../../ui/Dialog';
import { FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { useLogClimate } from './queries';

interface StepText {
  key: string;
  from: string;
  low: string;
  high: string;
  dry: string;
  damp: string;
}

interface ProgrammeFormProps {
  programme: Schemas['ProgrammeView'] | null;
  tonight: string;
  onClose: () => void;
}

const usualStepDays = 30;

const textOf = (step: Schemas['ProgrammeStep']): StepText => ({
  key: newId(),
  from: step.from,
  low: String(step.lowC),
  high: String(step.highC),
  dry: step.lowHumidity === null ? '' : String(step.lowHumidity),
  damp: step.highHumidity === null ? '' : String(step.highHumidity),
});

const number = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));
const maybe = (text: string): number | null => (text.trim() === '' ? null : number(text));

/** A programme, step by step. */
export function ProgrammeForm({ programme, tonight, onClose }: ProgrammeFormProps) {
  const [name, setName] = useState(programme?.plan.name ?? '');
  const [zone, setZone] = useState(programme?.plan.zone ?? '');
  const [until, setUntil] = useState(programme?.plan.until ?? fromDays(toDays(tonight) + 3 * usualStepDays));
  const [steps, setSteps] = useState<StepText[]>(
    programme?.plan.steps.map(textOf) ?? [
      { key: newId(), from: tonight, low: '18', high: '22', dry: '', damp: '' },
    ],
  );
  const log = useLogClimate();
  const refusal = log.error === null ? null : refusalOf(log.error);
  const change = (key: string, part: Partial<StepText>) =>
    setSteps(steps.map((s) => (s.key === key ? { ...s, ...part } : s)));
  const isWhole = steps.every(
    (s) =>
      Number.isFinite(number(s.low)) &&
      Number.isFinite(number(s.high)) &&
      [maybe(s.dry), maybe(s.damp)].every((h) => h === null || Number.isFinite(h)),
  );
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    log.mutate(
      {
        id: newId(),
        act: {
          kind: 'programmeSet',
          programmeId: programme?.id ?? newId(),
          plan: {
            name,
            zone: zone.trim().toUpperCase(),
            until,
            steps: steps.map((s) => ({
              from: s.from,
              lowC: number(s.low),
              highC: number(s.high),
              lowHumidity: maybe(s.dry),
              highHumidity: maybe(s.damp),
            })),
          },
        },
        text: `${name} planned`,
      },
      { onSuccess: onClose },
    );
  };
  return (
    <Dialog
      wide
      title={programme === null ? 'Plan a programme' : 'Change the programme'}
      hint="Daily means, as the thermostat should hold them; each step holds until the next."
      onClose={onClose}
    >
      <form onSubmit={submit} noValidate className="grid gap-4">
        <div className="grid grid-cols-[2fr_1fr_1fr] gap-3 max-sm:grid-cols-1">
          <TextField label="What for" value={name} error={refusal?.for('name')} onChange={setName} />
          <TextField
            label="Part of the room"
            hint="B, B2; empty: the room"
            value={zone}
            error={refusal?.for('zone')}
            onChange={setZone}
          />
          <TextField
            label="Until"
            type="date"
            value={until}
            error={refusal?.for('until')}
            onChange={(day) => day !== '' && setUntil(day)}
          />
        </div>
        <ul className="grid gap-3">
          {steps.map((step, i) => (
            <li
              key={step.key}
              className="grid grid-cols-[1.4fr_1fr_1fr_1fr_1fr_auto] items-end gap-2 border-t border-line pt-2 max-sm:grid-cols-2"
            >
              <TextField
                label="From"
                type="date"
                value={step.from}
                error={refusal?.for(`steps[${i}].from`)}
                onChange={(from) => from !== '' && change(step.key, { from })}
              />
              <TextField
                label="Low, °C"
                inputMode="decimal"
                value={step.low}
                error={refusal?.for(`steps[${i}].lowC`)}
                onChange={(low) => change(step.key, { low })}
              />
              <TextField
                label="High, °C"
                inputMode="decimal"
                value={step.high}
                onChange={(high) => change(step.key, { high })}
              />
              <TextField
                label="From, %"
                inputMode="decimal"
                value={step.dry}
                error={refusal?.for(`steps[${i}].lowHumidity`)}
                onChange={(dry) => change(step.key, { dry })}
              />
              <TextField
                label="To, %"
                inputMode="decimal"
                value={step.damp}
                onChange={(damp) => change(step.key, { damp })}
              />
              <Button
                kind="plain"
                disabled={steps.length === 1}
                onClick={() => setSteps(steps.filter((s) => s.key !== step.key))}
              >
                Out<span className="sr-only"> with step {i + 1}</span>
              </Button>
            </li>
          ))}
        </ul>
        <Button
          onClick={() => {
            const last = steps.at(-1);
            if (last !== undefined) {
              setSteps([
                ...steps,
                { ...last, key: newId(), from: fromDays(toDays(last.from) + usualStepDays) },
              ]);
            }
          }}
        >
          One more step
        </Button>
        <FormError>{refusal?.all}</FormError>
        <Button type="submit" kind="first" disabled={log.isPending || !isWhole}>
          Write it down
        </Button>
      </form>
    </Dialog>
  );
}
