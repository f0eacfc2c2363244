import { Choice, TextField } from '../../ui/Field';
import type { EntryForm } from '../Journal/entryForm';

const hostChosen: EntryForm<'hostChosen'> = {
  title: 'Food plant',
  begin: () => ({ kind: 'hostChosen', plant: '', anyway: false }),
  Fields: ({ act, change, error }) => (
    <>
      <TextField
        label="Fed with, from now on"
        hint="One name, always the same: oak, nettle, privet"
        error={error('plant')}
        value={act.plant}
        onChange={(plant) => change({ ...act, plant })}
      />
      {(error('anyway') !== undefined || act.anyway) && (
        <>
          <p className="border-l-2 border-ember pl-2 text-13">{error('anyway')}</p>
          <Choice
            label="It stands anyway"
            options={[
              ['no', 'No'],
              ['yes', 'Yes, I know'],
            ]}
            value={act.anyway ? 'yes' : 'no'}
            onChange={(anyway) => change({ ...act, anyway: anyway === 'yes' })}
          />
        </>
      )}
    </>
  ),
};

/** The form of the plant that larvae eat. */
export const hostForms = { hostChosen };
