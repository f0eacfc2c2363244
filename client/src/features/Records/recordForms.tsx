import { causes } from './causes';
import { AgainstHush } from '../Hush/AgainstHush';
import { Choice, Field, FormError, TextField } from '../../ui/Field';
import { Refusal, type Schemas } from '../../api/client';
import { Select } from '../../ui/Select';
import { fromDays, toDays } from '../../ui/dates';
import {
  type ActOf,
  type ActSubject,
  type EntryForm,
  textOrNone,
  wholeNumberIfAny,
} from '../Journal/entryForm';

const departures: readonly (readonly [Schemas['DepartureKind'], string])[] = [
  ['died', 'Died'],
  ['sold', 'Sold'],
  ['givenAway', 'Given away'],
  ['escaped', 'Escaped'],
  ['released', 'Released, where lawful'],
  ['lost', 'Lost'],
];

const departuresOfTank: typeof departures = [
  ['takenDown', 'Taken down'],
  ['sold', 'Sold'],
  ['givenAway', 'Given away'],
];

const cares: readonly (readonly [Schemas['CareAct'], string])[] = [
  ['handle', 'Handled'],
  ['rehouse', 'Rehoused'],
  ['dig', 'Dug up or opened'],
  ['clean', 'Cleaned'],
  ['brightLight', 'Bright light'],
];

const caresOfTank: typeof cares = [
  ['clean', 'Cleaned'],
  ['rehouse', 'Set up anew'],
  ['dig', 'Dug over, hides lifted'],
  ['brightLight', 'Bright light'],
];

const moved: EntryForm<'moved'> = {
  title: 'Moved',
  begin: (subject) => ({ kind: 'moved', place: subject.code }),
  Fields: ({ act, change, subject, error }) => (
    <>
      {subject.tankId !== null && <AgainstHush subject={subject} act="rehouse" />}
      <TextField
        label="New place"
        hint="Rack, shelf and slot, like A1·03 or a1-3"
        error={error('place')}
        value={act.place}
        onChange={(place) => change({ ...act, place })}
      />
    </>
  ),
};

/** What was done, and what the hush says against it. */
function CareFields({
  act,
  change,
  subject,
}: {
  act: ActOf<'handled'>;
  change: (next: ActOf<'handled'>) => void;
  subject: ActSubject;
}) {
  return (
    <>
      <Choice
        label="What was done"
        options={subject.isTank ? caresOfTank : cares}
        value={act.care}
        onChange={(care) => change({ ...act, care })}
      />
      <AgainstHush subject={subject} act={act.care} />
    </>
  );
}

const handled: EntryForm<'handled'> = {
  title: 'Done to it',
  begin: (subject) => ({ kind: 'handled', care: subject.isTank ? 'clean' : 'handle' }),
  Fields: ({ act, change, subject }) => <CareFields act={act} change={change} subject={subject} />,
};

const noted: EntryForm<'noted'> = {
  title: 'Note',
  begin: () => ({ kind: 'noted', text: '' }),
  Fields: ({ act, change, error }) => (
    <Field label="Note" error={error('text')}>
      {(p) => (
        <textarea
          {...p}
          rows={4}
          className="field"
          value={act.text}
          onChange={(e) => change({ ...act, text: e.target.value })}
        />
      )}
    </Field>
  ),
};

const nightsPutOff = 3;

const putOff: EntryForm<'putOff'> = {
  title: 'Later',
  begin: (subject) => ({
    kind: 'putOff',
    untilNight: fromDays(toDays(subject.tonight) + nightsPutOff),
    reason: null,
  }),
  ahead: true,
  Fields: ({ act, change, error }) => (
    <>
      <TextField
        label="Until the night of"
        type="date"
        error={error('untilNight')}
        value={act.untilNight}
        onChange={(untilNight) => change({ ...act, untilNight })}
      />
      <TextField
        label="Why"
        hint="Stands on the round and in the journal"
        error={error('reason')}
        value={act.reason ?? ''}
        onChange={(reason) => change({ ...act, reason: textOrNone(reason) })}
      />
    </>
  ),
};

/** What the hush says against an animal leaving the room alive. */
function AgainstLeaving({
  subject,
  departure,
}: {
  subject: ActSubject;
  departure: Schemas['DepartureKind'];
}) {
  return departure === 'sold' || departure === 'givenAway' || departure === 'released' ? (
    <AgainstHush subject={subject} act="ship" />
  ) : null;
}

const departed: EntryForm<'departed'> = {
  title: 'Leaves the collection',
  begin: () => ({ kind: 'departed', departure: 'givenAway', remark: null }),
  someOf: () => 'Empty for all',
  mustSay: { field: 'departure', text: 'Say how it left.' },
  texts: (act) => ({ vial: act.vial == null ? '' : String(act.vial) }),
  finish: (act, texts) => {
    const vial = wholeNumberIfAny('vial', texts.vial ?? '');
    return vial instanceof Refusal ? vial : { ...act, vial };
  },
  Fields: ({ act, change, texts, write, said, say, subject, error }) => (
    <>
      <Choice
        label="How"
        options={subject.isTank ? departuresOfTank : departures}
        value={said ? act.departure : null}
        onChange={(departure) =>
          say({ ...act, departure, cause: departure === 'died' ? (act.cause ?? null) : null })
        }
      />
      <FormError>{error('departure')}</FormError>
      {said && <AgainstLeaving subject={subject} departure={act.departure} />}
      {said && act.departure === 'died' && (
        <Select
          label="Of what"
          error={error('cause')}
          options={[['', 'Not said'], ...causes]}
          value={act.cause ?? ''}
          onChange={(cause) => change({ ...act, cause: cause === '' ? null : cause })}
        />
      )}
      {subject.vials !== null && (
        <TextField
          label="From which vial"
          hint="Its number, then it is one animal; empty when not told"
          error={error('vial')}
          inputMode="numeric"
          value={texts.vial ?? ''}
          onChange={(text) => write('vial', text)}
        />
      )}
      <TextField
        label={
          act.departure === 'died'
            ? 'Remark'
            : act.departure === 'lost'
              ? 'What is known'
              : act.departure === 'escaped' || act.departure === 'released'
                ? 'How and where'
                : 'To whom'
        }
        error={error('remark')}
        value={act.remark ?? ''}
        onChange={(remark) => change({ ...act, remark: textOrNone(remark) })}
      />
      <p className="text-13 text-muted">The whole history stays and can be read under Stock, “left”.</p>
    </>
  ),
};

/** Forms of where an animal stands, what was done to it and how it left. */
export const recordForms = { moved, handled, noted, putOff, departed };
