import type { Schemas } from '../../api/client';

/** Who may be the father, the likeliest first; nothing where no pairing is on record. */
export function Fathers({ fathers }: { fathers: readonly Schemas['PossibleFather'][] }) {
  if (fathers.length === 0) {
    return null;
  }
  const text =
    fathers.length === 1
      ? `Father: ${fathers[0]?.name ?? ''}`
      : `Father: ${fathers.map((f) => `${f.name} ${Math.round(f.chance * 100)} in 100`).join(', ')}`;
  return <small className="block text-13 text-muted">{text}</small>;
}
