import { Refusal, type Schemas } from '../../api/client';
import { Choice, Choices, TextField } from '../../ui/Field';
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

/** Forms of shells, and of who is up. */
export const shellForms = { shellTaken, shellsCounted, lookedRound };
