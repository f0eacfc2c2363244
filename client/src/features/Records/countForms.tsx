import { Select } from '../../ui/Select';
import { Refusal, type Schemas } from '../../api/client';
import { Choice, TextField } from '../../ui/Field';
import { WeighBrood } from '../Nursery/WeighBrood';
import { CountInPicture } from '../Nursery/CountInPicture';
import { methods } from './countMethods';
import { type EntryForm, textOrNone, wholeNumber, wholeNumberIfAny } from '../Journal/entryForm';

const gains: readonly (readonly [Schemas['GainKind'], string])[] = [
  ['born', 'Born'],
  ['found', 'Found again'],
  ['putIn', 'Put in'],
];

const shown = (count: number | null | undefined) => (count == null ? '' : String(count));

const counted: EntryForm<'counted'> = {
  title: 'Counted',
  wide: true,
  begin: (subject) => ({
    kind: 'counted',
    count: subject.count,
    low: null,
    high: null,
    method: null,
    container: null,
    reason: null,
  }),
  texts: (act) => ({ count: String(act.count), low: shown(act.low), high: shown(act.high) }),
  finish: (act, texts) => {
    const count = wholeNumber('count', texts.count ?? '');
    const low = wholeNumberIfAny('low', texts.low ?? '');
    const high = wholeNumberIfAny('high', texts.high ?? '');
    const wrong = [count, low, high].find((number) => number instanceof Refusal);
    return wrong ?? ({ ...act, count, low, high } as typeof act);
  },
  Fields: ({ act, change, texts, write, subject, error }) => {
    const number = (label: string, field: string, hint?: string) => (
      <TextField
        label={label}
        hint={hint}
        error={error(field)}
        inputMode="numeric"
        value={texts[field] ?? ''}
        onChange={(text) => write(field, text)}
      />
    );
    const found = (count: number, low: number, high: number) => {
      write('count', String(count));
      write('low', low < count ? String(low) : '');
      write('high', high > count ? String(high) : '');
    };
    const differs = (texts.count ?? '').trim() !== String(subject.count);
    return (
      <>
        <CountInPicture
          stockId={subject.stockId}
          name={subject.name}
          onCount={({ count, low, high, pictureId }) => {
            found(count, low, high);
            change({ ...act, method: 'inPicture', pictureId });
          }}
        />
        <div className="grid grid-cols-3 gap-3">
          {number('How many', 'count', `${subject.count} on record`)}
          {number('At least', 'low', 'If not certain')}
          {number('At most', 'high', 'If not certain')}
        </div>
        {act.method === 'byEye' && (
          <p className="border-l-2 border-lampmark pl-2 text-13">
            By eye it is often half of what is there: without a range of your own, up to two and a half times
            as many are reckoned with.
          </p>
        )}
        <Select
          label="How they were counted"
          error={error('method')}
          options={[['', 'Not said'], ...methods]}
          value={act.method ?? ''}
          onChange={(method) => change({ ...act, method: method === '' ? null : method })}
        />
        {act.method === 'byWeight' && <WeighBrood onCount={found} />}
        <TextField
          label="Only in one container"
          hint="Empty when all of them were counted; else its name, always the same: cup 3"
          error={error('container')}
          value={act.container ?? ''}
          onChange={(container) => change({ ...act, container: textOrNone(container) })}
        />
        {differs && (
          <TextField
            label="Why there are more or fewer"
            hint="Left empty, the difference stands as unexplained"
            error={error('reason')}
            value={act.reason ?? ''}
            onChange={(reason) => change({ ...act, reason: textOrNone(reason) })}
          />
        )}
      </>
    );
  },
};

const gained: EntryForm<'gained'> = {
  title: 'There are more',
  begin: () => ({ kind: 'gained', how: 'born', count: 0, remark: null }),
  texts: (act, isNew) => ({ count: isNew ? '' : String(act.count) }),
  finish: (act, texts) => {
    const count = wholeNumber('count', texts.count ?? '');
    return count instanceof Refusal ? count : { ...act, count };
  },
  Fields: ({ act, change, texts, write, error }) => (
    <>
      <Choice label="How" options={gains} value={act.how} onChange={(how) => change({ ...act, how })} />
      <TextField
        label="How many"
        error={error('count')}
        inputMode="numeric"
        value={texts.count ?? ''}
        onChange={(text) => write('count', text)}
      />
      <TextField
        label="Remark"
        error={error('remark')}
        value={act.remark ?? ''}
        onChange={(remark) => change({ ...act, remark: textOrNone(remark) })}
      />
    </>
  ),
};

const secondLook: EntryForm<'secondLook'> = {
  title: 'Looked again for those missing',
  begin: () => ({ kind: 'secondLook', found: 0 }),
  texts: (act, isNew) => ({ found: isNew ? '' : String(act.found) }),
  finish: (act, texts) => {
    const found = wholeNumber('found', texts.found ?? '');
    return found instanceof Refusal ? found : { ...act, found };
  },
  Fields: ({ texts, write, error }) => (
    <TextField
      label="How many of the missing were found"
      hint="0 when none: the rest are lost then, and the old leaves may go"
      error={error('found')}
      inputMode="numeric"
      value={texts.found ?? ''}
      onChange={(text) => write('found', text)}
    />
  ),
};

/** Forms of numbers. */
export const countForms = { counted, gained, secondLook };
