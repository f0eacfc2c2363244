import { type Schemas } from '../../api/client';
import { useRulebook } from '../../api/queries';
import { FormError } from '../../ui/Field';
import { strengthWord } from './acts';

type Strength = Schemas['SignStrength'];

const order: readonly (readonly [Strength[], string])[] = [
  [['imminent'], 'The molt itself'],
  [['strong'], 'Strong signs'],
  [['medium', 'weak'], 'Weaker signs'],
  [['opposite'], 'Something else is wrong'],
];

interface SignPickerProps {
  group: string;
  value: string;
  onChange: (signId: string) => void;
  error: string | undefined;
}

/** The signs of a group, strongest first, each with what it must not be taken for. */
export function SignPicker({ group, value, onChange, error }: SignPickerProps) {
  const signs = (useRulebook().data?.signs ?? []).filter((sign) => sign.groups.includes(group));
  return (
    <fieldset className="grid gap-3">
      <legend className="sr-only">Which sign</legend>
      {order.map(([strengths, title]) => (
        <section key={title}>
          <h3 className="mb-1 text-13 font-semibold text-muted">{title}</h3>
          {signs
            .filter((sign) => strengths.includes(sign.strength))
            .map((sign) => (
              <label
                key={sign.id}
                className="grid min-h-11 cursor-pointer grid-cols-[20px_minmax(0,1fr)_auto] items-start gap-x-3 border-t border-line py-2.5 has-checked:bg-raised"
              >
                <input
                  type="radio"
                  name="sign"
                  className="mt-0.5 size-5 accent-lampmark"
                  checked={value === sign.id}
                  onChange={() => onChange(sign.id)}
                />
                <span>
                  {sign.label}
                  {sign.note !== '' && <span className="block text-13 text-muted">{sign.note}</span>}
                  {sign.notToBeTakenFor !== '' && (
                    <span className="block text-13 text-soft">
                      <b className="font-semibold">Do not mistake:</b> {sign.notToBeTakenFor}
                    </span>
                  )}
                </span>
                <span className="text-13 text-muted">{strengthWord[sign.strength]}</span>
              </label>
            ))}
        </section>
      ))}
      <FormError>{error}</FormError>
    </fieldset>
  );
}
