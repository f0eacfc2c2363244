import { type ReactNode, useId } from 'react';

/** What is said of a control: its name, how to fill it in, what is wrong with it. */
export interface FieldWords {
  label: string;
  hint?: string | undefined;
  error?: string | undefined;
}

interface FieldProps extends FieldWords {
  children: (props: { id: string; 'aria-describedby'?: string; 'aria-invalid'?: true }) => ReactNode;
}

/** A labelled control with its hint and what is wrong with it. */
export function Field({ label, hint, error, children }: FieldProps) {
  const id = useId();
  const about = error !== undefined || hint !== undefined ? { 'aria-describedby': `${id}-about` } : {};
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="mb-1 block text-13 font-semibold">
        {label}
      </label>
      {children({ id, ...about, ...(error === undefined ? {} : { 'aria-invalid': true }) })}
      {(error ?? hint) !== undefined && (
        <p id={`${id}-about`} className={`mt-1 text-13 ${error === undefined ? 'text-muted' : 'text-ember'}`}>
          {error ?? hint}
        </p>
      )}
    </div>
  );
}

interface TextFieldProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  hint?: string | undefined;
  error?: string | undefined;
  type?: 'text' | 'date' | 'datetime-local';
  max?: string;
  inputMode?: 'numeric' | 'decimal';
  /** Takes the focus as its form opens. */
  autoFocus?: boolean;
}

/** A labelled line of text, number or date. */
export function TextField({ label, value, onChange, hint, error, type = 'text', ...rest }: TextFieldProps) {
  return (
    <Field label={label} hint={hint} error={error}>
      {(p) => (
        <input
          {...p}
          {...rest}
          type={type}
          className="field"
          value={value}
          onChange={(e) => onChange(e.target.value)}
        />
      )}
    </Field>
  );
}

interface ChoiceProps<T extends string> {
  label: string;
  options: readonly (readonly [T, string])[];
  /** None while nothing is chosen. */
  value: T | null;
  onChange: (value: T) => void;
}

/** A few choices side by side, one of them taken. */
export function Choice<T extends string>({ label, options, value, onChange }: ChoiceProps<T>) {
  const name = useId();
  return (
    <fieldset>
      <legend className="mb-1 text-13 font-semibold">{label}</legend>
      <div className="flex flex-wrap gap-2">
        {options.map(([key, text]) => (
          <label
            key={key}
            className="act cursor-pointer px-3 has-checked:border-ink has-checked:bg-ink has-checked:font-semibold has-checked:text-bg has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-lampmark"
          >
            <input
              type="radio"
              className="sr-only"
              name={name}
              checked={key === value}
              onChange={() => onChange(key)}
            />
            {text}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

interface ChoicesProps<T extends string> {
  label: string;
  options: readonly (readonly [T, string])[];
  values: readonly T[];
  onChange: (values: T[]) => void;
  error?: string | undefined;
}

/** Several choices side by side, any of them taken. */
export function Choices<T extends string>({ label, options, values, onChange, error }: ChoicesProps<T>) {
  return (
    <fieldset>
      <legend className="mb-1 text-13 font-semibold">{label}</legend>
      <div className="flex flex-wrap gap-2">
        {options.map(([key, text]) => (
          <label
            key={key}
            className="flex min-h-11 cursor-pointer items-center rounded-sm border border-edge px-3 text-13 has-checked:border-lampmark has-checked:bg-raised has-checked:font-semibold has-focus-visible:outline-2"
          >
            <input
              type="checkbox"
              className="sr-only"
              checked={values.includes(key)}
              onChange={() =>
                onChange(values.includes(key) ? values.filter((v) => v !== key) : [...values, key])
              }
            />
            {text}
          </label>
        ))}
      </div>
      {error !== undefined && <p className="mt-1 text-13 text-ember">{error}</p>}
    </fieldset>
  );
}

/** What was refused, at the foot of a form. */
export function FormError({ children }: { children: string | undefined }) {
  return children === undefined ? null : (
    <p role="alert" className="text-ember">
      {children}
    </p>
  );
}

/** One thing that is so or not. */
export function Check({
  label,
  value,
  onChange,
}: {
  label: string;
  value: boolean;
  onChange: (value: boolean) => void;
}) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-3">
      <input
        type="checkbox"
        className="size-5 accent-lampmark"
        checked={value}
        onChange={(e) => onChange(e.target.checked)}
      />
      {label}
    </label>
  );
}
