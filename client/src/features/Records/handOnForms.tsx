import { Refusal } from '../../api/client';
import { TextField } from '../../ui/Field';
import { type EntryForm, wholeNumber, wholeNumberIfAny } from '../Journal/entryForm';

const promised: EntryForm<'promised'> = {
  title: 'Young promised',
  begin: () => ({ kind: 'promised', to: '', count: 0 }),
  texts: (act, isNew) => ({ count: isNew ? '' : String(act.count) }),
  finish: (act, texts) => {
    const count = wholeNumber('count', texts.count ?? '');
    return count instanceof Refusal ? count : { ...act, count };
  },
  Fields: ({ act, change, texts, write, error }) => (
    <>
      <TextField
        label="To whom"
        hint="A name as you know it; when some go to that name, so many fewer are owed"
        error={error('to')}
        value={act.to}
        onChange={(to) => change({ ...act, to })}
      />
      <TextField
        label="How many in all"
        hint="What is still owed to that name; 0 takes the promise back"
        error={error('count')}
        inputMode="numeric"
        value={texts.count ?? ''}
        onChange={(text) => write('count', text)}
      />
    </>
  ),
};

const capped: EntryForm<'capped'> = {
  title: 'How many young are wanted',
  begin: () => ({ kind: 'capped', count: null }),
  texts: (act) => ({ count: act.count == null ? '' : String(act.count) }),
  finish: (act, texts) => {
    const count = wholeNumberIfAny('count', texts.count ?? '');
    return count instanceof Refusal ? count : { ...act, count };
  },
  Fields: ({ texts, write, error }) => (
    <TextField
      label="To be reared, no more than"
      hint="Those promised among them; empty when all are wanted"
      error={error('count')}
      inputMode="numeric"
      value={texts.count ?? ''}
      onChange={(text) => write('count', text)}
    />
  ),
};

/** Forms of what is to become of young. */
export const handOnForms = { promised, capped };
