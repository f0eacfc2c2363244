import { Field } from '../../ui/Field';

interface SecretProps {
  label: string;
  hint?: string;
  error: string | undefined;
  autoComplete: 'new-password' | 'current-password';
  value: string;
  onChange: (value: string) => void;
}

/** A password field. */
export function Secret({ label, hint, error, autoComplete, value, onChange }: SecretProps) {
  return (
    <Field label={label} hint={hint} error={error}>
      {(p) => (
        <input
          {...p}
          type="password"
          className="field"
          autoComplete={autoComplete}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </Field>
  );
}
