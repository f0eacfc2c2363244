import type { Schemas } from '../../api/client';
import { Choice, TextField } from '../../ui/Field';
import { parseValue, type Parts, partsOf, partWords } from './ruleParts';

type Line = Schemas['RuleLine'];

export { parseValue, partsOf };

interface RuleValueProps {
  line: Line;
  parts: Parts;
  onChange: (parts: Parts) => void;
  error: string | undefined;
}

/** The fields in which a rule's value is changed, by its form. */
export function RuleValue({ line, parts, onChange, error }: RuleValueProps) {
  const set = (key: string, text: string) => onChange({ ...parts, [key]: text });
  if (line.form === 'yesNo' || line.form === 'choice') {
    const options: readonly (readonly [string, string])[] =
      line.form === 'yesNo'
        ? [
            ['true', 'Yes'],
            ['false', 'No'],
          ]
        : line.choices.map((c) => [c, c]);
    return (
      <Choice
        label="Yours"
        options={options}
        value={parts['value'] ?? ''}
        onChange={(v) => set('value', v)}
      />
    );
  }
  return (
    <div className="flex flex-wrap gap-3">
      {Object.entries(parts).map(([key, text]) => (
        <div key={key} className="w-28">
          <TextField
            label={`${partWords[key] ?? 'Yours'}, ${line.unit.split(' ')[0] ?? ''}`}
            inputMode="decimal"
            error={error}
            value={text}
            onChange={(next) => set(key, next)}
          />
        </div>
      ))}
    </div>
  );
}
