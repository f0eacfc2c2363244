import { useTanks } from './queries';
import { Field } from '../../ui/Field';

interface TankFieldProps {
  label: string;
  id: string;
  error?: string | undefined;
  /** A tank that it cannot be. */
  except?: string | undefined;
  /** What stands for no tank; left out where one must be chosen. */
  none?: string;
  onChange: (id: string) => void;
}

/** A shared tank of the room. */
export function TankField({ label, id, error, except, none, onChange }: TankFieldProps) {
  const tanks = (useTanks().data ?? []).filter((t) => t.stockId !== except);
  return (
    <Field label={label} error={error}>
      {(p) => (
        <select {...p} className="field" value={id} onChange={(e) => onChange(e.target.value)}>
          <option value="">{none ?? 'Choose a tank'}</option>
          {tanks.map((t) => (
            <option key={t.stockId} value={t.stockId}>
              {t.place} {t.name}, {t.inmates} in it
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
