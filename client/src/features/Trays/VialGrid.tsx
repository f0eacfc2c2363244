import { type ReactNode, useState } from 'react';
import { TextField } from '../../ui/Field';
import { parseVials } from './vials';

interface VialGridProps {
  /** Numbers of the vials. */
  vials: readonly number[];
  chosen: readonly number[];
  onChange: (chosen: number[]) => void;
  /** What is tapped, in a few words. */
  legend: string;
  /** What a tapped vial is, for those who hear it: "left its food". */
  means: string;
  error?: string | undefined;
  /** What else is shown of a vial, below its number. */
  mark?: (vial: number) => ReactNode;
}

/** More than this are typed rather than tapped. */
const mostTapped = 120;

/** A tray of numbered vials: tap some of them. */
export function VialGrid({ vials, chosen, onChange, legend, means, error, mark }: VialGridProps) {
  const [text, setText] = useState(chosen.join(', '));
  const flip = (number: number) =>
    onChange(
      chosen.includes(number)
        ? chosen.filter((n) => n !== number)
        : [...chosen, number].sort((a, b) => a - b),
    );
  if (vials.length > mostTapped) {
    return (
      <TextField
        label={legend}
        hint="Numbers, e.g. 7, 12, 40-44"
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
        {legend}
        {chosen.length > 0 && `: ${chosen.length} of ${vials.length}`}
      </legend>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(38px,1fr))] gap-1">
        {vials.map((number, k) => (
          <button
            key={number}
            {...(k === 0 ? { 'data-autofocus': '' } : {})}
            type="button"
            aria-pressed={chosen.includes(number)}
            aria-label={`Vial ${number} ${means}`}
            onClick={() => flip(number)}
            className="min-h-9 rounded-s border border-edge text-13 aria-pressed:border-lampmark aria-pressed:bg-lamp aria-pressed:font-semibold aria-pressed:text-onlamp touch:min-h-11"
          >
            {number}
            {mark?.(number)}
          </button>
        ))}
      </div>
      {error !== undefined && <p className="mt-1 text-13 text-ember">{error}</p>}
    </fieldset>
  );
}
