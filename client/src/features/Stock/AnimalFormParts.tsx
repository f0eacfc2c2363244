import type { Schemas, StockDetails } from '../../api/client';
import { Choice, TextField } from '../../ui/Field';
import type { LengthUnit } from '../../ui/lengths';
import { bodyParts } from '../Growth/growthForms';
import type { Group } from './animalDraft';

type ErrorOf = (field: string) => string | undefined;

interface OriginProps {
  details: StockDetails;
  set: (changed: Partial<StockDetails>) => void;
  error: ErrorOf;
  tonight: string;
}

/** When it came and from whom, or when the tank was set up. */
export function OriginFields({ details, set, error, tonight }: OriginProps) {
  return (
    <div className="grid gap-4 sm:grid-cols-3">
      <TextField
        label={details.kind === 'tank' ? 'Set up on' : 'Came on'}
        error={error('acquiredOn')}
        type="date"
        max={tonight}

        value={details.acquiredOn}
        onChange={(value) => set({ acquiredOn: value })}
      />
      <TextField
        label="Came from"
        error={error('acquiredFrom')}

        value={details.acquiredFrom ?? ''}
        onChange={(value) => set({ acquiredFrom: value === '' ? null : value })}
      />
      {details.kind !== 'tank' && (
        <TextField
          label="Line or locality"
          hint="Lines are not mixed; may stay empty"
          error={error('line')}
          value={details.line ?? ''}
          onChange={(value) => set({ line: value === '' ? null : value })}
        />
      )}
      {details.kind !== 'tank' && (
        <TextField
          label="Hatched on, if known"
          error={error('hatchedOn')}
          type="date"
          max={tonight}

          value={details.hatchedOn ?? ''}
          onChange={(value) => set({ hatchedOn: value === '' ? null : value })}
        />
      )}
    </div>
  );
}

/** A first measure, as it is typed. */
interface FirstMeasure {
  part: Schemas['BodyPart'] | null;
  length: string;
}

/** Nights of the time before, as they are typed. */
export interface Before {
  molt: string;
  meal: string;
  water: string;
}

export const nothingBefore: Before = { molt: '', meal: '', water: '' };

interface FirstMeasureProps {
  group: Group;
  unit: LengthUnit;
  tonight: string;
  error: ErrorOf;
  measure: FirstMeasure;
  before: Before;
  onChange: (measure: FirstMeasure) => void;
  onBefore: (before: Before) => void;
}

/** What is known of a new animal: when it molted, ate and was watered last, and how large it is; all may stay empty. */
export function FirstMeasureFields(props: FirstMeasureProps) {
  const { group, unit, tonight, error, measure, before, onChange, onBefore } = props;
  const night = (key: keyof Before, label: string, field: string) => (
    <TextField
      label={label}
      error={error(field)}
      type="date"
      max={tonight}
      value={before[key]}
      onChange={(next) => onBefore({ ...before, [key]: next })}
    />
  );
  return (
    <section className="grid gap-4 border-t border-line pt-4">
      <h2 className="text-18">What is known of it</h2>
      <div className="grid gap-4 sm:grid-cols-3">
        {night('molt', 'Last molt', 'lastMoltOn')}
        {night('meal', 'Last meal', 'lastMealOn')}
        {night('water', 'Last water', 'lastWaterOn')}
      </div>
      <Choice
        label="First measure"
        options={bodyParts.filter(([p]) => group?.parts.includes(p))}
        value={
          measure.part !== null && group?.parts.includes(measure.part) === true
            ? measure.part
            : (group?.sizePart ?? 'body')
        }
        onChange={(next) => onChange({ ...measure, part: next })}
      />
      <div className="grid gap-4 sm:grid-cols-3">
        <TextField
          label={`Length in ${unit}`}
          hint="Or with a unit: 6 cm, 2.4 in. Prey is sized by it"
          error={error('lengthMm')}
          inputMode="decimal"
          value={measure.length}
          onChange={(next) => onChange({ ...measure, length: next })}
        />
      </div>
    </section>
  );
}
