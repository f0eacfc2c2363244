import { Select } from '../../ui/Select';
import { Button } from '../../ui/Button';
import { type SubmitEvent, useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { useLogChore } from './queries';
import { Dialog } from '../../ui/Dialog';
import { Check, Choice, Field, FormError, TextField } from '../../ui/Field';
import { kindWord } from './choreWords';
import { newId } from '../../ui/newId';

type Rhythm = 'every' | 'season' | 'once';

interface Props {
  chore: Schemas['Chore'] | null;
  tonight: string;
  onClose: () => void;
}

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A chore as it is planned: what, where, how often, in which part of the year. */
export function ChoreForm({ chore, tonight, onClose }: Props) {
  const log = useLogChore();
  const plan = chore?.plan;
  const [id] = useState(() => chore?.id ?? newId());
  const [kind, setKind] = useState<Schemas['ChoreKind']>(plan?.kind ?? 'own');
  const [title, setTitle] = useState(plan?.title ?? '');
  const [where, setWhere] = useState(plan?.where ?? '');
  const [starts, setStarts] = useState(plan?.starts ?? tonight);
  const [every, setEvery] = useState(String(plan?.everyDays ?? 7));
  const [rhythm, setRhythm] = useState<Rhythm>(
    plan === undefined || plan.everyDays !== null ? 'every' : plan.season !== null ? 'season' : 'once',
  );
  const [inSeason, setInSeason] = useState(plan?.season != null);
  const [season, setSeason] = useState<Schemas['SeasonSpan']>(
    plan?.season ?? { fromMonth: 5, fromDay: 1, toMonth: 10, toDay: 31 },
  );
  const [kit, setKit] = useState(plan?.kit ?? '');
  const [minutes, setMinutes] = useState(String(plan?.minutes ?? 10));
  const refusal = log.error instanceof Refusal ? log.error : null;
  const save = (event: SubmitEvent) => {
    event.preventDefault();
    log.mutate(
      {
        id: newId(),
        act: {
          kind: 'chorePlanned',
          choreId: id,
          plan: {
            kind,
            title: title.trim(),
            where: where.trim().toUpperCase(),
            starts,
            everyDays: rhythm === 'every' ? Math.round(Number(every)) || 0 : null,
            season: rhythm === 'season' || (rhythm === 'every' && inSeason) ? season : null,
            kit: kit.trim(),
            minutes: Math.round(Number(minutes)) || 0,
          },
        },
        text: `${title.trim()}: planned`,
      },
      { onSuccess: onClose },
    );
  };
  return (
    <Dialog title={chore === null ? 'Plan a chore' : 'Change the plan'} onClose={onClose} wide>
      <form onSubmit={save} className="grid gap-4" noValidate>
        <TextField label="What to do" error={refusal?.for('title')} value={title} onChange={setTitle} />
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
          <Select
            label="Kind"
            options={Object.entries(kindWord) as [Schemas['ChoreKind'], string][]}
            value={kind}
            onChange={setKind}
          />
          <TextField
            label="Where"
            hint="Rack, shelf or place; empty for the room"
            error={refusal?.for('where')}
            value={where}
            onChange={setWhere}
          />
          <TextField
            label="Takes, min"
            inputMode="numeric"
            error={refusal?.for('minutes')}
            value={minutes}
            onChange={setMinutes}
          />
        </div>
        <Choice
          label="How often"
          options={[
            ['every', 'Every few days'],
            ['season', 'Once every year'],
            ['once', 'Once'],
          ]}
          value={rhythm}
          onChange={setRhythm}
        />
        <div className="grid grid-cols-2 gap-3">
          {rhythm === 'every' && (
            <TextField
              label="Days between"
              inputMode="numeric"
              error={refusal?.for('everyDays')}
              value={every}
              onChange={setEvery}
            />
          )}
          <TextField
            label={rhythm === 'once' ? 'On the night of' : 'First on the night of'}
            type="date"
            error={refusal?.for('starts')}
            value={starts}
            onChange={setStarts}
          />
        </div>
        {rhythm === 'every' && (
          <Check label="Only in a part of the year" value={inSeason} onChange={setInSeason} />
        )}
        {(rhythm === 'season' || (rhythm === 'every' && inSeason)) && (
          <div className="grid grid-cols-2 gap-3">
            <MonthDay
              label="From"
              month={season.fromMonth}
              day={season.fromDay}
              onChange={(fromMonth, fromDay) => setSeason({ ...season, fromMonth, fromDay })}
            />
            <MonthDay
              label="To"
              month={season.toMonth}
              day={season.toDay}
              onChange={(toMonth, toDay) => setSeason({ ...season, toMonth, toDay })}
            />
          </div>
        )}
        <TextField
          label="Have ready"
          hint="May stay empty"
          error={refusal?.for('kit')}
          value={kit}
          onChange={setKit}
        />
        <FormError>{refusal?.all}</FormError>
        <div className="flex justify-end gap-2">
          <Button kind="plain" onClick={onClose}>
            Cancel
          </Button>
          <Button kind="first" type="submit" disabled={log.isPending}>
            Save
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

interface MonthDayProps {
  label: string;
  month: number;
  day: number;
  onChange: (month: number, day: number) => void;
}

function MonthDay({ label, month, day, onChange }: MonthDayProps) {
  return (
    <div className="grid grid-cols-[1fr_76px] items-end gap-2">
      <Select
        label={`${label}, month`}
        options={months.map((name, k) => [String(k + 1), name] as const)}
        value={String(month)}
        onChange={(next) => onChange(Number(next), day)}
      />
      <Field label="Day">
        {(p) => (
          <input
            {...p}
            type="number"
            min={1}
            max={31}
            className="field"
            value={day}
            onChange={(e) => onChange(month, Math.round(Number(e.target.value)))}
          />
        )}
      </Field>
    </div>
  );
}
