import { useState } from 'react';
import { Combobox } from '../../ui/Combobox';
import { fits } from '../../commands/paletteWords';
import { useRulebook } from './queries';

interface SpeciesFieldProps {
  label: string;
  /** Its scientific name. */
  chosen: string | null;
  onChoose: (scientificName: string | null) => void;
  error?: string | undefined;
}

const most = 8;

/** A species of the rulebook, found by the beginnings of its name. */
export function SpeciesField({ label, chosen, onChoose, error }: SpeciesFieldProps) {
  const species = useRulebook().data?.species ?? [];
  const [text, setText] = useState('');
  return (
    <Combobox
      label={label}
      error={error}
      found={species.filter((s) => fits(s.scientificName, text)).slice(0, most)}
      keyOf={(s) => s.id}
      textOf={(s) => s.scientificName}
      lineOf={(s) => <i>{s.scientificName}</i>}
      chosen={species.find((s) => s.scientificName === chosen) ?? null}
      onChoose={(s) => onChoose(s?.scientificName ?? null)}
      onType={setText}
      placeholder="Type its name"
    />
  );
}
