import { useState } from 'react';
import { Refusal } from '../../api/client';
import { Choice, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { type EntryForm, textOrNone, wholeNumber } from '../Journal/entryForm';
import { AgainstHush } from '../Hush/AgainstHush';
import { AnimalField } from '../Stock/AnimalField';

const placeHint = 'Rack, shelf, slot: A1·03 or a1-3';

const parted: EntryForm<'parted'> = {
  title: 'Some parted from them',
  begin: () => ({ kind: 'parted', partyId: newId(), count: 1, party: '', place: '' }),
  texts: (act, isNew) => ({ count: isNew ? '' : String(act.count) }),
  finish: (act, texts) => {
    const count = wholeNumber('count', texts.count ?? '');
    return count instanceof Refusal ? count : { ...act, count };
  },
  Fields: ({ act, change, texts, write, subject, error }) => {
    const [chosen, setChosen] = useState(false);
    const begins = act.place !== undefined;
    return (
      <>
        <AgainstHush subject={subject} act="rehouse" />
        <TextField
          label="How many"
          hint={`Of ${subject.count}; at least one stays`}
          error={error('count')}
          inputMode="numeric"
          value={texts.count ?? ''}
          onChange={(text) => write('count', text)}
        />
        <Choice
          label="They go"
          options={[
            ['own', 'Into a place of their own'],
            ['others', 'To others here'],
          ]}
          value={begins ? 'own' : 'others'}
          onChange={(where) => {
            setChosen(false);
            change({
              kind: 'parted',
              partyId: newId(),
              count: act.count,
              party: '',
              ...(where === 'own' ? { place: '' } : {}),
            });
          }}
        />
        {begins ? (
          <div className="grid gap-3 sm:grid-cols-2">
            <TextField
              label="Name"
              error={error('party')}
              value={act.party ?? ''}
              onChange={(party) => change({ ...act, party })}
            />
            <TextField
              label="Place"
              hint={placeHint}
              error={error('place')}
              value={act.place ?? ''}
              onChange={(place) => change({ ...act, place })}
            />
          </div>
        ) : (
          <AnimalField
            label="To whom"
            hint="Code or name"
            id={chosen ? act.partyId : null}
            not={null}
            except={subject.stockId}
            error={error('partyId')}
            onChange={(id) => {
              setChosen(id !== null);
              change({ ...act, partyId: id ?? newId(), party: null });
            }}
          />
        )}
        <p className="text-13 text-muted">
          It stands in both journals, and stays: count anew to mend a number.
        </p>
      </>
    );
  },
};

const gaveBirth: EntryForm<'gaveBirth'> = {
  title: 'Young came out',
  begin: (subject) => ({
    kind: 'gaveBirth',
    partyId: newId(),
    count: 1,
    party: `${subject.name}’s young`,
    place: '',
  }),
  texts: (act, isNew) => ({ count: isNew ? '' : String(act.count) }),
  finish: (act, texts) => {
    const count = wholeNumber('count', texts.count ?? '');
    return count instanceof Refusal ? count : { ...act, count };
  },
  foundLater: true,
  Fields: ({ act, change, texts, write, error }) => (
    <>
      <TextField
        label="How many, as far as counted"
        hint="By eye it is often half of what is there; count again later"
        error={error('count')}
        inputMode="numeric"
        value={texts.count ?? ''}
        onChange={(text) => write('count', text)}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label="Name of the young"
          error={error('party')}
          value={act.party ?? ''}
          onChange={(party) => change({ ...act, party: textOrNone(party) ?? '' })}
        />
        <TextField
          label="Place"
          hint={placeHint}
          error={error('place')}
          value={act.place}
          onChange={(place) => change({ ...act, place })}
        />
      </div>
      <p className="text-13 text-muted">They get a record of their own, with their mother on it.</p>
    </>
  ),
};

/** Forms by which a record of its own begins. */
export const offshootForms = { parted, gaveBirth };
