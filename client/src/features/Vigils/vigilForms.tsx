import type { Schemas } from '../../api/client';
import { Choice, TextField } from '../../ui/Field';
import { type EntryForm, textOrNone } from '../Journal/entryForm';
import { SignPicker } from './SignPicker';

const forAll = () => 'Empty for all';

const signSeen: EntryForm<'signSeen'> = {
  title: 'Sign seen',
  begin: () => ({ kind: 'signSeen', signId: '' }),
  someOf: forAll,
  oneTap: true,
  wide: true,
  Fields: ({ act, subject, busy, submit }) => (
    <SignPicker group={subject.group} busy={busy} onPick={(signId) => submit({ ...act, signId })} />
  ),
};

const looked: EntryForm<'looked'> = {
  title: 'Looked: no sign',
  begin: () => ({ kind: 'looked' }),
  Fields: () => null,
};

const began: EntryForm<'began'> = {
  title: 'A wait begins',
  begin: (subject) => ({ kind: 'began', vigil: subject.waits[0]?.vigil ?? 'young' }),
  someOf: (act, subject) =>
    subject.waits.find((wait) => wait.vigil === act.vigil)?.isOfOne === true
      ? 'Empty for one'
      : 'Empty for all',
  foundLater: true,
  Fields: ({ act, change, subject }) => (
    <Choice
      label="What began"
      options={subject.waits
        .filter((wait) => wait.vigil !== 'eggCase')
        .map((wait) => [wait.vigil, wait.began] as const)}
      value={act.vigil}
      onChange={(vigil) => change({ ...act, vigil })}
    />
  ),
};

const caseLosses: readonly (readonly [NonNullable<Schemas['CaseLoss']>, string])[] = [
  ['eaten', 'She ate it'],
  ['abandoned', 'She left it'],
  ['moldy', 'Moldy'],
  ['dry', 'Dried out'],
  ['notFertile', 'Not fertile'],
];

const ended: EntryForm<'ended'> = {
  title: 'A wait ends',
  begin: (subject) => ({ kind: 'ended', vigil: subject.waiting ?? 'young', end: 'asHoped' }),
  someOf: forAll,
  foundLater: true,
  Fields: ({ act, change, subject }) => {
    const ends = subject.waits.find((wait) => wait.vigil === act.vigil)?.ends ?? [];
    const lost = act.end === 'otherwise' && (act.vigil === 'young' || act.vigil === 'hatching');
    return (
      <>
        <Choice
          label="How it ended"
          options={ends.map((end) => [end.id, end.past] as const)}
          value={act.end}
          onChange={(end) => change({ ...act, end, loss: null })}
        />
        {lost && (
          <Choice
            label="What became of it, if known"
            options={caseLosses}
            value={act.loss ?? null}
            onChange={(loss) => change({ ...act, loss })}
          />
        )}
      </>
    );
  },
};

const chilled: EntryForm<'chilled'> = {
  title: 'Winter cold',
  begin: () => ({ kind: 'chilled', intoCold: true }),
  Fields: ({ act, change }) => (
    <Choice
      label="The winter cold"
      options={[
        ['in', 'Put into the cold'],
        ['out', 'Taken out of the cold'],
      ]}
      value={act.intoCold ? 'in' : 'out'}
      onChange={(where) => change({ ...act, intoCold: where === 'in' })}
    />
  ),
};

const warmUpPlanned: EntryForm<'warmUpPlanned'> = {
  title: 'Night out of the cold',
  begin: (subject) => ({ kind: 'warmUpPlanned', on: subject.tonight }),
  ahead: true,
  Fields: ({ act, change, error }) => (
    <TextField
      label="To be taken out on the night of"
      hint="Empty takes the plan back; the round asks for it then"
      type="date"
      error={error('on')}
      value={act.on ?? ''}
      onChange={(on) => change({ ...act, on: textOrNone(on) })}
    />
  ),
};

/** Forms of what is awaited and of what tells of it. */
export const vigilForms = { signSeen, looked, began, ended, chilled, warmUpPlanned };
