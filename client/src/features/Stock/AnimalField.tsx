import { useDeferredValue, useState } from 'react';
import type { Schemas } from '../../api/client';
import { Combobox } from '../../ui/Combobox';
import { useAnimal, useFind } from './queries';

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

interface Found {
  stockId: string;
  place: string;
  name: string;
}

/** So many fit on a phone above its keyboard. */
const most = 6;

/** An animal of the room, found by code or name. */
export function AnimalField({ label, id, not, hint, error, except, onChange }: AnimalFieldProps) {
  const [text, setText] = useState('');
  const known = useAnimal(id ?? '', id !== null).data;
  const found = useFind(useDeferredValue(text.trim())).data?.lines ?? [];
  const chosen: Found | null =
    id === null ? null : { stockId: id, place: known?.place ?? '', name: known?.details.nickname ?? '…' };
  return (
    <Combobox<Found>
      label={label}
      hint={hint ?? 'Code or name; empty if not known'}
      error={error}
      found={
        text.trim() === ''
          ? []
          : found
              .filter((line) => line.stockId !== except && (not === null || line.sex !== not))
              .slice(0, most)
      }
      keyOf={(line) => line.stockId}
      textOf={(line) => line.name}
      lineOf={(line) => (
        <>
          <span className="code">{line.place}</span> {line.name}
        </>
      )}
      chosen={chosen}
      onChoose={(line) => onChange(line?.stockId ?? null)}
      onType={setText}
    />
  );
}
