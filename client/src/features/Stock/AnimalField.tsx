import { IconButton } from '../../ui/Button';
import { X } from 'lucide-react';
import { useDeferredValue, useState } from 'react';
import type { Schemas } from '../../api/client';
import { useAnimal } from './queries';
import { useFind } from './queries';
import { Field } from '../../ui/Field';

interface AnimalFieldProps {
  label: string;
  id: string | null;
  /** Sex that it cannot have. */
  not: Schemas['Sex'] | null;
  hint?: string | undefined;
  error?: string | undefined;
  /** An animal that it cannot be. */
  except?: string | undefined;
  onChange: (id: string | null) => void;
}

/** An animal of the room, found by code or name. */
export function AnimalField({ label, id, not, hint, error, except, onChange }: AnimalFieldProps) {
  const [text, setText] = useState('');
  const known = useAnimal(id ?? '', id !== null).data;
  const found = useFind(useDeferredValue(text.trim())).data?.lines ?? [];
  if (id !== null) {
    return (
      <div>
        <p className="mb-1 text-13 font-semibold">{label}</p>
        <p className="flex min-h-10 items-center gap-2">
          {known?.details.nickname ?? '…'}
          <IconButton label={`${label} not known`} onClick={() => onChange(null)}>
            <X className="size-4" />
          </IconButton>
        </p>
      </div>
    );
  }
  return (
    <div>
      <Field label={label} hint={hint ?? 'Code or name; empty if not known'} error={error}>
        {(p) => (
          <input
            {...p}
            className="field"
            value={text}
            onChange={(e) => setText(e.target.value)}
            autoComplete="off"
          />
        )}
      </Field>
      {text.trim() !== '' && (
        <ul className="border-x border-b border-edge">
          {found
            .filter((s) => s.stockId !== except && (not === null || s.sex !== not))
            .slice(0, 5)
            .map((s) => (
              <li key={s.stockId}>
                <button
                  type="button"
                  className="min-h-9 w-full px-2 text-left hover:bg-panel"
                  onClick={() => {
                    onChange(s.stockId);
                    setText('');
                  }}
                >
                  <span className="code">{s.place}</span> {s.name}
                </button>
              </li>
            ))}
        </ul>
      )}
    </div>
  );
}
