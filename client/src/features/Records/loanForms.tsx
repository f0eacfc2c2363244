import { AgainstHush } from '../Hush/AgainstHush';
import { useId } from 'react';
import { useContacts } from '../Contacts/queries';
import type { Schemas } from '../../api/client';
import { Choice, Field, TextField } from '../../ui/Field';
import { type EntryForm, textOrNone } from '../Journal/entryForm';

const looks = [
  ['thin', 'Thin'],
  ['normal', 'Normal'],
  ['full', 'Full'],
  ['veryFull', 'Very full'],
] as const satisfies readonly (readonly [Schemas['BodyCondition'], string])[];

interface LooksProps {
  value: Schemas['BodyCondition'] | null;
  onChange: (condition: Schemas['BodyCondition']) => void;
}

/** How well fed it looks as it goes or comes; may be left out. */
function LooksNow({ value, onChange }: LooksProps) {
  return <Choice label="How it looks" options={looks} value={value} onChange={onChange} />;
}

const lent: EntryForm<'lent'> = {
  title: 'Lent to somebody',
  begin: () => ({ kind: 'lent', to: '', contactId: null, backBy: null, share: null, condition: null }),
  Fields: ({ act, change, subject, error }) => {
    const contacts = useContacts().data ?? [];
    const list = useId();
    return (
      <>
        <AgainstHush subject={subject} act="ship" />
        <Field label="To whom" hint="A name; those under People are offered" error={error('to')}>
          {(p) => (
            <>
              <input
                {...p}
                className="field"
                list={list}
                autoComplete="off"
                value={act.to}
                onChange={(e) => {
                  const known = contacts.find((c) => c.name === e.target.value);
                  change({ ...act, to: e.target.value, contactId: known?.id ?? null });
                }}
              />
              <datalist id={list}>
                {contacts.map((c) => (
                  <option key={c.id} value={c.name} />
                ))}
              </datalist>
            </>
          )}
        </Field>
        <TextField
          label="Back by"
          hint="The round asks for it then; may stay empty"
          error={error('backBy')}
          type="date"
          value={act.backBy ?? ''}
          onChange={(backBy) => change({ ...act, backBy: textOrNone(backBy) })}
        />
        <TextField
          label="Agreed of the offspring"
          hint="In your words, as half of the young; may stay empty"
          error={error('share')}
          value={act.share ?? ''}
          onChange={(share) => change({ ...act, share: textOrNone(share) })}
        />
        <LooksNow value={act.condition ?? null} onChange={(condition) => change({ ...act, condition })} />
        <p className="text-13 text-muted">Until it is back the round asks nothing for it.</p>
      </>
    );
  },
};

const returned: EntryForm<'returned'> = {
  title: 'Back from its loan',
  begin: () => ({ kind: 'returned', remark: null, condition: null }),
  Fields: ({ act, change, error }) => (
    <>
      <LooksNow value={act.condition ?? null} onChange={(condition) => change({ ...act, condition })} />
      <TextField
        label="How it came back"
        error={error('remark')}
        value={act.remark ?? ''}
        onChange={(remark) => change({ ...act, remark: textOrNone(remark) })}
      />
    </>
  ),
};

/** Forms of loans. */
export const loanForms = { lent, returned };
