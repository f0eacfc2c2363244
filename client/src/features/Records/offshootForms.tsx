import { useState } from 'react';
import { Refusal } from '../../api/client';
import { Choice, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { type EntryForm, textOrNone, wholeNumber, wholeNumberIfAny } from '../Journal/entryForm';
import { Select } from '../../ui/Select';
import { methods } from './countMethods';
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
      <Select
        label="How they were counted"
        error={error('method')}
        options={[['', 'Not said'], ...methods]}
        value={act.method ?? ''}
        onChange={(method) => change({ ...act, method: method === '' ? null : method })}
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

const number = (text: string): number => Number(text.replace(',', '.'));

const caseTaken: EntryForm<'caseTaken'> = {
  title: 'Eggs taken, to be kept apart',
  begin: (subject) => ({
    kind: 'caseTaken',
    partyId: newId(),
    party: `${subject.name}’s eggs`,
    place: '',
    laidFrom: null,
    laidTo: null,
    kept: null,
    eggs: null,
  }),
  texts: (act) => ({
    celsius: act.kept?.celsius == null ? '' : String(act.kept.celsius),
    turned: act.kept?.turnedEveryDays == null ? '' : String(act.kept.turnedEveryDays),
    eggs: act.eggs == null ? '' : String(act.eggs),
  }),
  finish: (act, texts) => {
    const eggs = wholeNumberIfAny('eggs', texts.eggs ?? '');
    if (eggs instanceof Refusal) {
      return eggs;
    }
    const [celsius, turned] = [texts.celsius ?? '', texts.turned ?? ''];
    const wrong = [
      ['kept.celsius', celsius],
      ['kept.turnedEveryDays', turned],
    ].find(([, text]) => text !== '' && !Number.isFinite(number(text ?? '')));
    if (wrong?.[0] !== undefined) {
      return new Refusal('', { [wrong[0]]: ['Write a number.'] }, 400);
    }
    const kept = {
      celsius: celsius === '' ? null : number(celsius),
      moisture: act.kept?.moisture ?? null,
      turnedEveryDays: turned === '' ? null : number(turned),
    };
    return { ...act, eggs, kept: Object.values(kept).every((v) => v === null) ? null : kept };
  },
  Fields: ({ act, change, texts, write, subject, error }) => (
    <>
      <AgainstHush subject={subject} act="dig" />
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
          value={act.place}
          onChange={(place) => change({ ...act, place })}
        />
        <TextField
          label="Laid, at the earliest"
          hint="Empty: when she began to brood"
          type="date"
          error={error('laidFrom')}
          value={act.laidFrom ?? ''}
          onChange={(laidFrom) => change({ ...act, laidFrom: textOrNone(laidFrom) })}
        />
        <TextField
          label="At the latest"
          type="date"
          error={error('laidTo')}
          value={act.laidTo ?? ''}
          onChange={(laidTo) => change({ ...act, laidTo: textOrNone(laidTo) })}
        />
        <TextField
          label="Incubator, °C"
          hint="26–27 for most sacs"
          inputMode="decimal"
          error={error('kept.celsius')}
          value={texts.celsius ?? ''}
          onChange={(text) => write('celsius', text)}
        />
        <TextField
          label="Turned every, days"
          hint="Empty where it is not turned"
          inputMode="decimal"
          error={error('kept.turnedEveryDays')}
          value={texts.turned ?? ''}
          onChange={(text) => write('turned', text)}
        />
      </div>
      <Choice
        label="Kept"
        options={[
          ['damp', 'Damp, not wet'],
          ['dry', 'Dry'],
        ]}
        value={act.kept?.moisture ?? null}
        onChange={(moisture) =>
          change({ ...act, kept: { celsius: null, turnedEveryDays: null, ...act.kept, moisture } })
        }
      />
      <TextField
        label="Eggs, if counted"
        hint="Empty while nobody knows: the young are counted when they are out"
        inputMode="numeric"
        error={error('eggs')}
        value={texts.eggs ?? ''}
        onChange={(text) => write('eggs', text)}
      />
      <p className="text-13 text-muted">
        They get a record of their own, with their mother on it. Left with her is the usual way: she turns and
        guards them; a taken sac is turned by you.
      </p>
    </>
  ),
};

/** Forms by which a record of its own begins. */
export const offshootForms = { parted, gaveBirth, caseTaken };
