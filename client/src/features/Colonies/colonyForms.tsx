import { Refusal, type Schemas } from '../../api/client';
import { Choice, Choices, TextField } from '../../ui/Field';
import {
  type EntryForm,
  textOrNone,
  wholeNumber,
  wholeNumberIfAny,
  wholeNumbers,
} from '../Journal/entryForm';

const ways: readonly (readonly [Schemas['CatchWay'], string])[] = [
  ['walking', 'Walking about'],
  ['flying', 'As she flew'],
  ['dug', 'Dug from a nest'],
  ['fromKeeper', 'From another keeper'],
];

const wings: readonly (readonly ['on' | 'off' | 'unseen', string])[] = [
  ['off', 'Wings off'],
  ['on', 'Wings on'],
  ['unseen', 'Not looked'],
];

const queenCaught: EntryForm<'queenCaught'> = {
  title: 'How she was caught',
  begin: () => ({ kind: 'queenCaught', way: 'walking', winged: null, weather: null }),
  foundLater: true,
  Fields: ({ act, change, error }) => (
    <>
      <Choice label="How" options={ways} value={act.way} onChange={(way) => change({ ...act, way })} />
      <Choice
        label="Her wings"
        options={wings}
        value={act.winged == null ? 'unseen' : act.winged ? 'on' : 'off'}
        onChange={(w) => change({ ...act, winged: w === 'unseen' ? null : w === 'on' })}
      />
      <TextField
        label="Weather of the flight, if you like"
        hint="Warm and still, after rain"
        error={error('weather')}
        value={act.weather ?? ''}
        onChange={(weather) => change({ ...act, weather: textOrNone(weather) })}
      />
    </>
  ),
};

const brood: readonly (readonly [Schemas['BroodSeen'], string])[] = [
  ['eggs', 'Eggs'],
  ['larvae', 'Larvae'],
  ['largeLarvae', 'Large larvae'],
  ['pupae', 'Pupae'],
  ['workers', 'Workers'],
  ['mold', 'Mold'],
];

const waters: readonly (readonly [Schemas['TubeWater'] | 'unseen', string])[] = [
  ['full', 'Full'],
  ['low', 'Low'],
  ['gone', 'Gone'],
  ['unseen', 'Not looked'],
];

const peeked: EntryForm<'peeked'> = {
  title: 'Peek: what is in there',
  begin: () => ({ kind: 'peeked', seen: [], workers: null, workersMost: null, water: null }),
  texts: (act) => ({
    workers: act.workers == null ? '' : String(act.workers),
    workersMost: act.workersMost == null ? '' : String(act.workersMost),
  }),
  finish: (act, texts) => {
    const workers = wholeNumberIfAny('workers', texts.workers ?? '');
    const workersMost = wholeNumberIfAny('workersMost', texts.workersMost ?? '');
    return workers instanceof Refusal
      ? workers
      : workersMost instanceof Refusal
        ? workersMost
        : { ...act, workers, workersMost };
  },
  Fields: ({ act, change, texts, write, error }) => (
    <>
      <Choices
        label="Seen, by red light; nothing ticked is no brood"
        options={brood}
        values={act.seen}
        onChange={(seen) => change({ ...act, seen })}
        error={error('seen')}
      />
      {act.seen.includes('mold') && (
        <p className="border-l-2 border-ember pl-2 text-13">
          If it spreads: offer a new tube in the light, the old one uncovered; let her walk over by herself.
        </p>
      )}
      {act.seen.includes('workers') && (
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Workers, if counted"
            inputMode="numeric"
            error={error('workers')}
            value={texts.workers ?? ''}
            onChange={(text) => write('workers', text)}
          />
          <TextField
            label="At most"
            hint="Of a range"
            inputMode="numeric"
            error={error('workersMost')}
            value={texts.workersMost ?? ''}
            onChange={(text) => write('workersMost', text)}
          />
        </div>
      )}
      <Choice
        label="Water of the tube"
        options={waters}
        value={act.water ?? 'unseen'}
        onChange={(water) => change({ ...act, water: water === 'unseen' ? null : water })}
      />
    </>
  ),
};

const nestSteps: readonly (readonly [Schemas['NestStep'], string])[] = [
  ['begun', 'Begun'],
  ['scout', 'First scout seen'],
  ['over', 'All over, queen too'],
  ['givenUp', 'Given up'],
];

const nestMoved: EntryForm<'nestMoved'> = {
  title: 'Into another nest',
  begin: () => ({ kind: 'nestMoved', step: 'begun', school: 'connect' }),
  Fields: ({ act, change }) => (
    <>
      <Choice
        label="How far"
        options={nestSteps}
        value={act.step}
        onChange={(step) => change({ ...act, step, school: step === 'begun' ? 'connect' : null })}
      />
      {act.step === 'begun' && (
        <Choice
          label="How"
          options={[
            ['connect', 'Connect, darken the new, light the old'],
            ['forceps', 'Soft forceps, one by one'],
          ]}
          value={act.school ?? 'connect'}
          onChange={(school) => change({ ...act, school })}
        />
      )}
    </>
  ),
};

const tubSigns: readonly (readonly [Schemas['TubSign'], string])[] = [
  ['pouches', 'Full pouches'],
  ['fewYoung', 'A few young'],
  ['manyYoung', 'Many young'],
  ['deadInMolt', 'Dead in the molt'],
  ['bloom', 'Springtails or mites all over'],
  ['sour', 'A sour smell'],
  ['dryEnd', 'Damp end dry'],
];

const tubLooked: EntryForm<'tubLooked'> = {
  title: 'Looked into the tub',
  begin: () => ({ kind: 'tubLooked', signs: [] }),
  Fields: ({ act, change, error }) => (
    <Choices
      label="Seen; nothing ticked is all as it should be"
      options={tubSigns}
      values={act.signs}
      onChange={(signs) => change({ ...act, signs })}
      error={error('signs')}
    />
  ),
};

const marked: EntryForm<'marked'> = {
  title: 'Marked and put back',
  begin: () => ({ kind: 'marked', count: 0 }),
  texts: (act, isNew) => ({ count: isNew ? '' : String(act.count) }),
  finish: (act, texts) => {
    const count = wholeNumber('count', texts.count ?? '');
    return count instanceof Refusal ? count : { ...act, count };
  },
  Fields: ({ texts, write, error }) => (
    <TextField
      label="How many bear a dot of paint now"
      hint="Put back all over the tub; catch again within a week, as paint is shed with the skin"
      inputMode="numeric"
      error={error('count')}
      value={texts.count ?? ''}
      onChange={(text) => write('count', text)}
    />
  ),
};

const recaught: EntryForm<'recaught'> = {
  title: 'Caught again',
  begin: () => ({ kind: 'recaught', caught: 0, markedAmong: 0 }),
  texts: (act, isNew) => ({
    caught: isNew ? '' : String(act.caught),
    markedAmong: isNew ? '' : String(act.markedAmong),
  }),
  finish: (act, texts) => {
    const caught = wholeNumber('caught', texts.caught ?? '');
    const markedAmong = wholeNumber('markedAmong', texts.markedAmong ?? '');
    return caught instanceof Refusal
      ? caught
      : markedAmong instanceof Refusal
        ? markedAmong
        : { ...act, caught, markedAmong };
  },
  Fields: ({ texts, write, error }) => (
    <div className="grid grid-cols-2 gap-3">
      <TextField
        label="Caught now"
        inputMode="numeric"
        error={error('caught')}
        value={texts.caught ?? ''}
        onChange={(text) => write('caught', text)}
      />
      <TextField
        label="Marked among them"
        inputMode="numeric"
        error={error('markedAmong')}
        value={texts.markedAmong ?? ''}
        onChange={(text) => write('markedAmong', text)}
      />
    </div>
  ),
};

const scooped: EntryForm<'scooped'> = {
  title: 'Equal scoops counted',
  begin: () => ({ kind: 'scooped', each: [], bait: false }),
  texts: (act) => ({ each: act.each.join(' ') }),
  finish: (act, texts) => {
    const each = wholeNumbers('each', texts.each ?? '');
    return each instanceof Refusal ? each : { ...act, each };
  },
  Fields: ({ act, change, texts, write, error }) => (
    <>
      <Choice
        label="What was counted"
        options={[
          ['scoop', 'Equal scoops of the floor'],
          ['bait', 'Equal times at a bait'],
        ]}
        value={act.bait ? 'bait' : 'scoop'}
        onChange={(what) => change({ ...act, bait: what === 'bait' })}
      />
      <TextField
        label="Animals in each"
        hint="Such as 12 9 15; the same size every time, so that counts can be compared"
        inputMode="numeric"
        error={error('each')}
        value={texts.each ?? ''}
        onChange={(text) => write('each', text)}
      />
    </>
  ),
};

/** Forms of ants and of tubs that nobody can count. */
export const colonyForms = { queenCaught, peeked, nestMoved, tubLooked, marked, recaught, scooped };
