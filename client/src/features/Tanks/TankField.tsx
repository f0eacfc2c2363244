import { Select } from '../../ui/Select';
import { useTanks } from './queries';

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
    <Select
      label={label}
      error={error}
      placeholder="Choose a tank"
      options={[
        ...(none === undefined ? [] : [['', none] as const]),
        ...tanks.map((t) => [t.stockId, `${t.place} ${t.name}, ${t.inmates} in it`] as const),
      ]}
      value={id}
      onChange={onChange}
    />
  );
}
