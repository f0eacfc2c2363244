import { type SubmitEvent, useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { Stepper } from '../../ui/Stepper';
import { SpeciesField } from '../Rulebook/SpeciesField';

interface ManyProps {
  onRead: (table: Schemas['IntakeTable']) => void;
  busy: boolean;
}

const most = 500;

/** A sac's slings, a box of vials: so many of one species, each in a place of its own, filled in order. */
export function ManyOfAKind({ onRead, busy }: ManyProps) {
  const [species, setSpecies] = useState<string | null>(null);
  const [count, setCount] = useState('10');
  const [stage, setStage] = useState('');
  const [from, setFrom] = useState('');
  const wanted = Number(count);
  const bad = species === null || !Number.isInteger(wanted) || wanted < 1 || wanted > most;
  const read = (event: SubmitEvent) => {
    event.preventDefault();
    if (species !== null && !bad) {
      onRead({
        columns: ['place', 'species', 'stage', 'cameFrom'],
        cells: Array.from({ length: wanted }, () => ['', species, stage, from]),
      });
    }
  };
  return (
    <form onSubmit={read} noValidate className="grid items-start gap-4 sm:grid-cols-4">
      <SpeciesField label="Species" chosen={species} onChoose={setSpecies} />
      <Stepper label="How many" value={count} onChange={setCount} least={1} most={most} />
      <TextField label="Instar" hint="Like i2; empty if not known" value={stage} onChange={setStage} />
      <TextField label="From" value={from} onChange={setFrom} />
      <Button type="submit" kind="first" className="justify-self-start" disabled={bad || busy}>
        Show them
      </Button>
    </form>
  );
}
