import { useEffect, useEffectEvent } from 'react';
import { type Schemas } from '../../api/client';
import { useRulebook } from '../Rulebook/queries';

const strengthWord: Record<Schemas['SignStrength'], string> = {
  weak: 'weak',
  medium: 'medium',
  strong: 'strong',
  imminent: 'imminent',
  opposite: 'not a molt',
};

type Strength = Schemas['SignStrength'];

const order: readonly (readonly [Strength[], string])[] = [
  [['imminent'], 'The molt itself'],
  [['strong'], 'Strong signs'],
  [['medium', 'weak'], 'Weaker signs'],
  [['opposite'], 'Something else is wrong'],
];

interface SignPickerProps {
  group: string;
  busy: boolean;
  onPick: (signId: string) => void;
}

/** The signs of a group, strongest first, each with what it must not be taken for. One tap or letter logs it. */
export function SignPicker({ group, busy, onPick }: SignPickerProps) {
  const all = (useRulebook().data?.signs ?? []).filter((sign) => sign.groups.includes(group));
  const sorted = order.flatMap(([strengths]) => all.filter((sign) => strengths.includes(sign.strength)));
  const letterOf = (sign: Schemas['SignRule']) => String.fromCharCode(97 + sorted.indexOf(sign));
  const pressed = useEffectEvent((event: KeyboardEvent) => {
    const typing =
      event.target instanceof Element && event.target.closest('input, select, textarea') !== null;
    const sign = sorted.find((s) => letterOf(s) === event.key);
    if (!typing && !busy && sign !== undefined && !event.ctrlKey && !event.metaKey && !event.altKey) {
      event.preventDefault();
      onPick(sign.id);
    }
  });
  useEffect(() => {
    const listener = (event: KeyboardEvent) => pressed(event);
    window.addEventListener('keydown', listener);
    return () => window.removeEventListener('keydown', listener);
  }, []);
  return (
    <div className="grid gap-3">
      {order.map(([strengths, title]) => (
        <section key={title}>
          <h3 className="mb-1 text-13 font-semibold text-muted">{title}</h3>
          {sorted
            .filter((sign) => strengths.includes(sign.strength))
            .map((sign) => (
              <button
                key={sign.id}
                type="button"
                disabled={busy}
                onClick={() => onPick(sign.id)}
                className="grid min-h-11 w-full grid-cols-[24px_minmax(0,1fr)_auto] items-start gap-x-3 border-t border-line py-2.5 text-left hover:bg-raised max-sm:grid-cols-[minmax(0,1fr)_auto]"
              >
                <kbd className="mt-0.5">{letterOf(sign).toUpperCase()}</kbd>
                <span>
                  <b className="font-semibold">{sign.label}</b>
                  {sign.note !== '' && <span className="block text-13 text-muted">{sign.note}</span>}
                  {sign.notToBeTakenFor !== '' && (
                    <span className="block text-13 text-soft">
                      <b className="font-semibold">Do not mistake:</b> {sign.notToBeTakenFor}
                    </span>
                  )}
                </span>
                <span className="text-13 text-muted">{strengthWord[sign.strength]}</span>
              </button>
            ))}
        </section>
      ))}
    </div>
  );
}
