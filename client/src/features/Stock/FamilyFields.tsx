import { X } from 'lucide-react';
import { useDeferredValue, useState } from 'react';
import type { Schemas, StockDetails } from '../../api/client';
import { useAnimal } from '../../api/queries';
import { useFind } from '../../api/roomQueries';
import { Field, TextField } from '../../ui/Field';

interface Props {
  details: StockDetails;
  set: (changed: Partial<StockDetails>) => void;
  error: (field: string) => string | undefined;
}

/** Tags, and the parents as far as they are or were in the room. */
export function FamilyFields({ details, set, error }: Props) {
  const [tags, setTags] = useState((details.tags ?? []).join(', '));
  return (
    <section className="grid gap-4 border-t border-line pt-4 sm:grid-cols-3">
      <TextField
        label="Tags"
        hint="Your own words, parted by commas: for sale, shy"
        error={error('tags')}
        value={tags}
        onChange={(text) => {
          setTags(text);
          const words = text
            .split(',')
            .map((word) => word.trim())
            .filter((word) => word !== '');
          set({ tags: words.length === 0 ? null : words });
        }}
      />
      <ParentField
        label="Mother"
        id={details.motherId ?? null}
        not="male"
        onChange={(motherId) => set({ motherId })}
      />
      <ParentField
        label="Father"
        id={details.fatherId ?? null}
        not="female"
        onChange={(fatherId) => set({ fatherId })}
      />
    </section>
  );
}

interface ParentProps {
  label: string;
  id: string | null;
  /** Sex that this parent cannot have. */
  not: Schemas['Sex'];
  onChange: (id: string | null) => void;
}

/** A parent, found by code or name. */
function ParentField({ label, id, not, onChange }: ParentProps) {
  const [text, setText] = useState('');
  const known = useAnimal(id ?? '', id !== null).data;
  const found = useFind(useDeferredValue(text.trim())).data?.lines ?? [];
  if (id !== null) {
    return (
      <div>
        <p className="mb-1 text-13 font-semibold">{label}</p>
        <p className="flex min-h-10 items-center gap-2">
          {known?.details.nickname ?? '…'}
          <button
            type="button"
            className="grid size-9 place-items-center text-muted"
            aria-label={`${label} not known`}
            onClick={() => onChange(null)}
          >
            <X className="size-4" />
          </button>
        </p>
      </div>
    );
  }
  return (
    <div>
      <Field label={label} hint="Code or name; empty if not known">
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
            .filter((s) => s.sex !== not)
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
