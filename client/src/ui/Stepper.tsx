import { Minus, Plus } from 'lucide-react';
import { IconButton } from './Button';
import { Field, type FieldWords } from './Field';

interface StepperProps extends FieldWords {
  /** As it is typed; it may be no number for a moment. */
  value: string;
  onChange: (value: string) => void;
  least?: number;
  most?: number;
}

/** A small whole number: typed, or counted up and down with a thumb. */
export function Stepper({ value, onChange, least = 0, most = 9999, ...words }: StepperProps) {
  const now = Number(value);
  const step = (by: number) =>
    onChange(String(Math.max(least, Math.min(most, (Number.isFinite(now) ? Math.trunc(now) : least) + by))));
  return (
    <Field {...words}>
      {(field) => (
        <div className="stepper">
          <IconButton label={`Fewer: ${words.label}`} onClick={() => step(-1)} disabled={now <= least}>
            <Minus className="size-4" />
          </IconButton>
          <input
            {...field}
            inputMode="numeric"
            value={value}
            onChange={(event) => onChange(event.target.value)}
          />
          <IconButton label={`More: ${words.label}`} onClick={() => step(1)} disabled={now >= most}>
            <Plus className="size-4" />
          </IconButton>
        </div>
      )}
    </Field>
  );
}
