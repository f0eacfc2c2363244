import { useState } from 'react';
import { TextField } from '../../ui/Field';
import { parseVials } from './vials';

interface VialGridProps {
  count: number;
  untaken: readonly number[];
  onChange: (untaken: number[]) => void;
  error: string | undefined;
}

/** More than this are typed rather than tapped. */
const mostTapped = 120;

/** A tray of numbered vials: tap those that left their food. */
export function VialGrid({ count, untaken, onChange, error }: VialGridProps) {
  const [text, setText] = useState(untaken.join(', '));
  const flip = (number: number) =>
    onChange(
      untaken.includes(number)
        ? untaken.filter((n) => n !== number)
        : [...untaken, number].sort((a, b) => a - b),
    );
  if (count > mostTapped) {
    return (
      <TextField
        label="Numbers that left it"
        hint="e.g. 7, 12, 40-44; nothing when all ate"
        error={error}
        value={text}
        onChange={(next) => {
          setText(next);
          onChange(parseVials(next));
        }}
      />
    );
  }
  return (
    <fieldset>
      <legend className="mb-1 text-13 font-semibold">
        Tap those that left it{untaken.length > 0 && `: ${untaken.length} of ${count}`}
      </legend>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(38px,1fr))] gap-1">
        {Array.from({ length: count }, (_, k) => k + 1).map((number) => (
          <button
            key={number}
            type="button"
            aria-pressed={untaken.includes(number)}
            aria-label={`Vial ${number} left its food`}
            onClick={() => flip(number)}
            className="min-h-9 rounded-s border border-edge text-13 aria-pressed:border-lampmark aria-pressed:bg-lamp aria-pressed:font-semibold aria-pressed:text-onlamp touch:min-h-11"
          >
            {number}
          </button>
        ))}
      </div>
      {error !== undefined && <p className="mt-1 text-13 text-ember">{error}</p>}
    </fieldset>
  );
}
