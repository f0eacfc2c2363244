import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { useDone } from '../Journal/DoneContext';
import { textOrNone } from '../Journal/entryForm';

const endings: readonly (readonly [Schemas['PairingEnding'], string])[] = [
  ['maleSafe', 'He is out, unhurt'],
  ['maleInjured', 'He is out, hurt'],
  ['leftIn', 'He stays with her'],
  ['maleEaten', 'She ate him'],
];

/** How it ended, with one tap; that he is no more is asked twice. */
export function RunEnding({ id, sheet }: { id: string; sheet: Schemas['RunSheet'] }) {
  const { quick, isBusy } = useDone();
  const [remark, setRemark] = useState('');
  const [sure, setSure] = useState(false);
  const one = sheet.she.stockId === id ? sheet.she : sheet.he;
  const mate = sheet.she.stockId === id ? sheet.he : sheet.she;
  const end = (ending: Schemas['PairingEnding'], label: string) => {
    if (ending === 'maleEaten' && !sure) {
      setSure(true);
      return;
    }
    quick(
      id,
      one.name,
      {
        kind: 'pairingEnded',
        ending,
        remark: textOrNone(remark),
        partnerId: mate.stockId,
        partner: mate.stockId === null ? mate.name : null,
      },
      { label: label.toLowerCase() },
    );
  };
  return (
    <section aria-label="How it ends" className="mt-4 border-t border-edge pt-3">
      <TextField label="What else was seen" hint="May stay empty" value={remark} onChange={setRemark} />
      <div className="mt-3 grid grid-cols-2 gap-2">
        {endings
          .filter(([ending]) => sheet.endings.includes(ending))
          .map(([ending, label]) => (
            <Button
              writes
              key={ending}
              kind={ending === 'maleSafe' ? 'first' : 'usual'}
              className="min-h-13"
              disabled={isBusy(id)}
              onClick={() => end(ending, label)}
            >
              {ending === 'maleEaten' && sure ? `${label}: tap again` : label}
            </Button>
          ))}
      </div>
      {sure && (
        <p role="alert" className="mt-2 text-ember">
          {sheet.he.name} then leaves the collection as dead.
        </p>
      )}
    </section>
  );
}
