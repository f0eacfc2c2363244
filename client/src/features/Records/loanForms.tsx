import { AgainstHush } from '../Hush/AgainstHush';
import { useId } from 'react';
import { useContacts } from '../Contacts/queries';
import { Field, TextField } from '../../ui/Field';
import { type EntryForm, textOrNone } from '../Journal/entryForm';

const lent: EntryForm<'lent'> = {
  title: 'Lent to somebody',
  begin: () => ({ kind: 'lent', to: '', contactId: null, backBy: null }),
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
        <p className="text-13 text-muted">Until it is back the round asks nothing for it.</p>
      </>
    );
  },
};

const returned: EntryForm<'returned'> = {
  title: 'Back from its loan',
  begin: () => ({ kind: 'returned', remark: null }),
  Fields: ({ act, change, error }) => (
    <TextField
      label="How it came back"
      error={error('remark')}
      value={act.remark ?? ''}
      onChange={(remark) => change({ ...act, remark: textOrNone(remark) })}
    />
  ),
};

/** Forms of loans. */
export const loanForms = { lent, returned };
