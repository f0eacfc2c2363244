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

/** A first measure and the last molt, as they are typed. */
interface FirstMeasure {
  part: Schemas['BodyPart'] | null;
  length: string;
  lastMolt: string;
}

interface FirstMeasureProps {
  group: Group;
  unit: LengthUnit;
  tonight: string;
  error: ErrorOf;
  measure: FirstMeasure;
  onChange: (measure: FirstMeasure) => void;
}

/** What is measured of a new animal, so that prey can be sized and its molts counted from the last one. */
export function FirstMeasureFields({ group, unit, tonight, error, measure, onChange }: FirstMeasureProps) {
  return (
    <section className="grid gap-4 border-t border-line pt-4">
      <h2 className="text-18">First measure</h2>
      <Choice
        label="What"
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
        <TextField
          label="Last molt, if dated"
          hint="Also one from before it came"
          error={error('lastMoltOn')}

          type="date"
          max={tonight}

          value={measure.lastMolt}
          onChange={(next) => onChange({ ...measure, lastMolt: next })}
        />
      </div>
    </section>
  );
}
