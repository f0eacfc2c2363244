import { Refusal, type Schemas } from '../../api/client';
import { Choice, Choices, TextField } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { type EntryForm, numberIfAny } from '../Journal/entryForm';
import { useTankMates } from './queries';

const shapes: readonly (readonly [Schemas['ShellShape'], string])[] = [
  ['oval', 'Oval'],
  ['round', 'Round'],
  ['slit', 'Slit'],
];

const shellTaken: EntryForm<'shellTaken'> = {
  title: 'Shell it wears',
  begin: () => ({ kind: 'shellTaken', shape: 'oval', openingMm: null }),
  texts: (act) => ({ openingMm: act.openingMm == null ? '' : String(act.openingMm) }),
  finish: (act, texts) => {
    const openingMm = numberIfAny('openingMm', texts.openingMm ?? '');
    return openingMm instanceof Refusal ? openingMm : { ...act, openingMm };
  },
  Fields: ({ act, change, texts, write, error }) => (
    <>
      <Choice
        label="Its opening"
        options={shapes}
        value={act.shape}
        onChange={(shape) => change({ ...act, shape })}
      />
      <TextField
        label="Width of the opening, mm, if known"
        inputMode="decimal"
        error={error('openingMm')}
        value={texts.openingMm ?? ''}
        onChange={(text) => write('openingMm', text)}
      />
    </>
  ),
};

/** Lots written as "14 oval 4" on a line each. */
function lotsOf(text: string): Schemas['ShellLot'][] | Refusal {
  const lots: Schemas['ShellLot'][] = [];
  for (const line of text.split('\n').filter((l) => l.trim() !== '')) {
    const found = /^\s*(\d+)\s*[×x]\s*([\d.,]+)\s*(oval|round|slit)?\s*$/i.exec(line);
    if (found === null) {
      return new Refusal(
        '',
        { lots: [`“${line.trim()}” is not understood: write such as 4 x 14 oval.`] },
        400,
      );
    }
    lots.push({
      count: Number(found[1]),
      openingMm: Number((found[2] ?? '').replace(',', '.')),
      shape: (found[3]?.toLowerCase() ?? 'oval') as Schemas['ShellShape'],
    });
  }
  return lots;
}

const shellsCounted: EntryForm<'shellsCounted'> = {
  title: 'Empty shells in the tank',
  begin: () => ({ kind: 'shellsCounted', lots: [] }),
  texts: (act) => ({ lots: act.lots.map((l) => `${l.count} x ${l.openingMm} ${l.shape}`).join('\n') }),
  finish: (act, texts) => {
    const lots = lotsOf(texts.lots ?? '');
    return lots instanceof Refusal ? lots : { ...act, lots };
  },
  Fields: ({ texts, write, error }) => (
    <label className="block">
      <span className="mb-1 block text-13 font-semibold">How many, opening in mm, shape; a line each</span>
      <textarea
        className="field min-h-28 font-mono"
        placeholder={'4 x 14 oval\n2 x 18 round'}
        value={texts.lots ?? ''}
        onChange={(e) => write('lots', e.target.value)}
      />
      <span className={`mt-1 block text-13 ${error('lots') === undefined ? 'text-muted' : 'text-ember'}`}>
        {error('lots') ?? 'What was counted before is replaced; empty for none.'}
      </span>
    </label>
  ),
};

/** Who lives in the tank, to be ticked. */
function Mates({
  tankId,
  seen,
  onChange,
  error,
}: {
  tankId: string;
  seen: readonly string[];
  onChange: (seen: string[]) => void;
  error: string | undefined;
}) {
  const mates = useTankMates(tankId);
  return (
    <Choices
      label="Seen up tonight"
      options={mates.map((m) => [m.stockId, m.name] as const)}
      values={seen}
      onChange={onChange}
      error={error}
    />
  );
}

const lookedRound: EntryForm<'lookedRound'> = {
  title: 'Who is up?',
  begin: () => ({ kind: 'lookedRound', seen: [] }),
  Fields: ({ act, change, subject, error }) => (
    <>
      <Mates
        tankId={subject.stockId}
        seen={act.seen}
        onChange={(seen) => change({ ...act, seen })}
        error={error('seen')}
      />
      <p className="text-13 text-muted">Who is not ticked is perhaps buried. Nobody is dug for.</p>
    </>
  ),
};

const marks: readonly (readonly [Schemas['MoltMark'], string])[] = [
  ['longAntennae', 'Long antennae'],
  ['blackTips', 'Sharp black tips'],
  ['hairs', 'Hairs on the legs'],
  ['brighter', 'Brighter'],
  ['livelier', 'Livelier'],
  ['smallNewLimbs', 'New limbs, still small'],
];

const moltMarksSeen: EntryForm<'moltMarksSeen'> = {
  title: 'Did it molt?',
  begin: () => ({ kind: 'moltMarksSeen', seen: [] }),
  Fields: ({ act, change, error }) => (
    <>
      <Choices
        label="What shows, seen from a distance"
        options={marks}
        values={act.seen}
        onChange={(seen) => change({ ...act, seen })}
        error={error('seen')}
      />
      <p className="text-13 text-muted">
        Several of them: it molted. None: it only hid. Worn tips later prove nothing. It is not lifted for
        this.
      </p>
    </>
  ),
};

const sleeveSteps: readonly (readonly [Schemas['SleeveStep'], string])[] = [
  ['bottleCut', 'Large bottle cut across'],
  ['rinsed', 'Rinsed of all residue'],
  ['sunk', 'Sunk round it, neck up and open'],
  ['floorAgainst', 'Damp floor against it'],
];

const burialGuarded: EntryForm<'burialGuarded'> = {
  title: 'Over one that is down',
  begin: () => ({ kind: 'burialGuarded', othersDig: true, done: [] }),
  Fields: ({ act, change, error }) => (
    <>
      <Choice
        label="Do others dig at its place?"
        options={[
          ['yes', 'They dig there'],
          ['no', 'Nobody does'],
        ]}
        value={act.othersDig ? 'yes' : 'no'}
        onChange={(dig) => change({ ...act, othersDig: dig === 'yes' })}
      />
      <Choices
        label="Of the sleeve, done by now"
        options={sleeveSteps}
        values={act.done}
        onChange={(done) => change({ ...act, done })}
        error={error('done')}
      />
      <p className="text-13 text-muted">
        Half into the floor, slowly, never through the crab. Food and pools stay outside. Nobody digs.
      </p>
    </>
  ),
};

const sights: readonly (readonly [Schemas['MatingSight'], string])[] = [
  ['guarding', 'He guards her'],
  ['rivals', 'Rivals'],
  ['transfer', 'Shells together'],
  ['takenOver', 'Another took her over'],
  ['looseEggs', 'Loose eggs'],
  ['attachedEggs', 'Attached, orange'],
  ['eyedEggs', 'Grey, with eyes'],
  ['toTheWater', 'At the salt water'],
];

/** One of those that live in the tank. */
function MateOf({
  tankId,
  label,
  value,
  onChange,
  error,
}: {
  tankId: string;
  label: string;
  value: string;
  onChange: (id: string) => void;
  error: string | undefined;
}) {
  const mates = useTankMates(tankId);
  return (
    <Select
      label={label}
      options={[['', 'not known'] as const, ...mates.map((m) => [m.stockId, m.name] as const)]}
      value={value}
      error={error}
      onChange={onChange}
    />
  );
}

const matingSeen: EntryForm<'matingSeen'> = {
  title: 'Mating log',
  begin: () => ({ kind: 'matingSeen', femaleId: '', maleId: null, sight: 'guarding' }),
  finish: (act) => (act.femaleId === '' ? new Refusal('', { femaleId: ['Say which female.'] }, 400) : act),
  Fields: ({ act, change, subject, error }) => (
    <>
      <Choice
        label="What was seen"
        options={sights}
        value={act.sight}
        onChange={(sight) => change({ ...act, sight })}
      />
      <MateOf
        tankId={subject.stockId}
        label="She"
        value={act.femaleId}
        error={error('femaleId')}
        onChange={(femaleId) => change({ ...act, femaleId })}
      />
      <MateOf
        tankId={subject.stockId}
        label="He"
        value={act.maleId ?? ''}
        error={error('maleId')}
        onChange={(maleId) => change({ ...act, maleId: maleId === '' ? null : maleId })}
      />
      <p className="text-13 text-muted">
        Told apart only if they must: she walks to a raised hand, her shell held, never pulled. Pores at the
        third legs and feathery limbs on the left of the abdomen: a female; tubes at the fifth legs: a male.
      </p>
    </>
  ),
};

/** Forms of shells, of who is up, of molts underground and of the mating log. */
export const shellForms = {
  shellTaken,
  shellsCounted,
  lookedRound,
  moltMarksSeen,
  burialGuarded,
  matingSeen,
};
