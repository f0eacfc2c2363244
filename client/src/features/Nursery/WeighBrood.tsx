import { useState } from 'react';
import { Refusal, refusalOf } from '../../api/client';
import { Button } from '../../ui/Button';
import { Field, TextField } from '../../ui/Field';
import { weighBrood } from './weighing';

interface Props {
  onCount: (count: number, low: number, high: number) => void;
}

/** A brood counted by weight: some counted and weighed, then all of them. */
export function WeighBrood({ onCount }: Props) {
  const [total, setTotal] = useState('');
  const [parts, setParts] = useState('');
  const [scale, setScale] = useState('1');
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const run = async () => {
    setBusy(true);
    setRefusal(null);
    try {
      const { result } = await weighBrood(total, parts, scale);
      onCount(result.count, result.low, result.high);
    } catch (caught) {
      setRefusal(refusalOf(caught));
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="grid gap-3 border-l-2 border-line pl-3">
      <Field
        label="Counted parts: how many, mg"
        hint="One line for each part; three or more tell how much the young differ"
        error={refusal?.for('samples')}
      >
        {(p) => (
          <textarea
            {...p}
            rows={3}
            className="field"
            value={parts}
            onChange={(event) => setParts(event.target.value)}
          />
        )}
      </Field>
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="All together, mg"
          hint="Without the tub"
          inputMode="decimal"
          error={refusal?.for('totalMg')}
          value={total}
          onChange={setTotal}
        />
        <TextField
          label="One division of the scale, mg"
          inputMode="decimal"
          error={refusal?.for('scaleMg')}
          value={scale}
          onChange={setScale}
        />
      </div>
      <div>
        <Button disabled={busy} onClick={() => void run()}>
          Work it out
        </Button>
      </div>
    </div>
  );
}
