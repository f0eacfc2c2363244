import { Refusal, type Schemas } from '../../api/client';
import { Choice, Choices, TextField } from '../../ui/Field';
import {
  type EntryForm,
  numberIfAny,
  textOrNone,
  wholeNumberIfAny,
  wholeNumbersIfAny,
} from '../Journal/entryForm';

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

const boxSchools: readonly (readonly [Schemas['BoxSchool'], string])[] = [
  ['tightLid', 'Tight lid'],
  ['vented', 'Vented lid'],
  ['stemsInWater', 'Stems in water'],
  ['livingPlant', 'Living plant'],
  ['jar', 'Jar with a sprig'],
];

const boxed: EntryForm<'boxed'> = {
  title: 'How they are kept',
  begin: () => ({ kind: 'boxed', school: 'vented', litres: null, holeMm: null, lining: null, numbers: null }),
  texts: (act) => ({
    numbers: (act.numbers ?? []).join(' '),
    litres: act.litres == null ? '' : String(act.litres),
    holeMm: act.holeMm == null ? '' : String(act.holeMm),
  }),
  finish: (act, texts) => {
    const litres = numberIfAny('litres', texts.litres ?? '');
    const holeMm = numberIfAny('holeMm', texts.holeMm ?? '');
    const numbers = wholeNumbersIfAny('numbers', texts.numbers ?? '');
    return litres instanceof Refusal
      ? litres
      : holeMm instanceof Refusal
        ? holeMm
        : numbers instanceof Refusal
          ? numbers
          : { ...act, litres, holeMm, numbers };
  },
  Fields: ({ act, change, texts, write, error }) => (
    <>
      <Choice
        label="Kept in or on"
        options={boxSchools}
        value={act.school}
        onChange={(school) => change({ ...act, school })}
      />
      {act.school === 'stemsInWater' && (
        <p className="border-l-2 border-lampmark pl-2 text-13">Plug the neck: they crawl in and drown.</p>
      )}
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Litres of one, if known"
          inputMode="decimal"
          error={error('litres')}
          value={texts.litres ?? ''}
          onChange={(text) => write('litres', text)}
        />
        <TextField
          label="Widest hole, mm"
          hint="0 where it has none"
          inputMode="decimal"
          error={error('holeMm')}
          value={texts.holeMm ?? ''}
          onChange={(text) => write('holeMm', text)}
        />
      </div>
      <TextField
        label="In each box, if counted"
        hint="Such as 12 11 13: together all there are"
        inputMode="numeric"
        error={error('numbers')}
        value={texts.numbers ?? ''}
        onChange={(text) => write('numbers', text)}
      />
      <TextField
        label="Lining, if any"
        hint="Paper towel, tissue, soil"
        error={error('lining')}
        value={act.lining ?? ''}
        onChange={(lining) => change({ ...act, lining: textOrNone(lining) })}
      />
    </>
  ),
};

const sickSigns: readonly (readonly [Schemas['SickSign'], string])[] = [
  ['sluggish', 'Sluggish, does not eat'],
  ['runnyFrass', 'Runny frass'],
  ['shrunken', 'Shrunken, limp'],
  ['darkAndSoft', 'Dark and soft'],
  ['oddColour', 'Only coloured otherwise'],
];

const sickSeen: EntryForm<'sickSeen'> = {
  title: 'Some do not thrive',
  begin: () => ({ kind: 'sickSeen', signs: [], count: null }),
  texts: (act) => ({ count: act.count == null ? '' : String(act.count) }),
  finish: (act, texts) => {
    const count = wholeNumberIfAny('count', texts.count ?? '');
    return count instanceof Refusal ? count : { ...act, count };
  },
  Fields: ({ act, change, texts, write, subject, error }) => (
    <>
      <Choices
        label="What you see"
        options={sickSigns}
        values={act.signs}
        onChange={(signs) => change({ ...act, signs })}
        error={error('signs')}
      />
      {subject.many && (
        <TextField
          label="How many, if counted"
          inputMode="numeric"
          error={error('count')}
          value={texts.count ?? ''}
          onChange={(text) => write('count', text)}
        />
      )}
      {act.signs.length > 0 && (
        <p className="border-l-2 border-lampmark pl-2 text-13">
          {act.signs.every((sign) => sign === 'oddColour')
            ? 'Perhaps its mother’s line: note it and watch.'
            : 'One that sits still with a swollen head is about to molt: leave it. Put the others by themselves at once; tend this box last, with tools of its own.'}
        </p>
      )}
    </>
  ),
};

/** Forms of larvae: what they eat, how they are kept, who does not thrive. */
export const larvaForms = { hostChosen, boxed, sickSeen };
