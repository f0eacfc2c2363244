import { Check, ChevronDown } from 'lucide-react';
import { Select as Radix } from 'radix-ui';
import { styleNonce } from './nonce';
import { Field, type FieldWords } from './Field';

interface SelectProps<T extends string> extends FieldWords {
  options: readonly (readonly [value: T, text: string])[];
  value: T;
  onChange: (value: T) => void;
}

/** Radix keeps the empty text for "nothing chosen"; a choice of "all" or "none" is one like any other. */
const none = '∅';

/** A labelled list of which one is taken: its colours are those of the look, also in a dark room. */
export function Select<T extends string>({ options, value, onChange, ...words }: SelectProps<T>) {
  return (
    <Field {...words}>
      {(field) => (
        <Radix.Root
          value={value === '' ? none : value}
          onValueChange={(next) => onChange((next === none ? '' : next) as T)}
        >
          <Radix.Trigger {...field} className="field field-list">
            <span className="min-w-0 truncate">
              <Radix.Value />
            </span>
            <Radix.Icon>
              <ChevronDown className="size-4 text-muted" />
            </Radix.Icon>
          </Radix.Trigger>
          <Radix.Portal>
            <Radix.Content position="popper" sideOffset={2} collisionPadding={8} className="list-box">
              <Radix.Viewport nonce={styleNonce()}>
                {options.map(([key, text]) => (
                  <Radix.Item key={key} value={key === '' ? none : key} className="list-item">
                    <Radix.ItemIndicator className="absolute left-2">
                      <Check className="size-4" aria-hidden="true" />
                    </Radix.ItemIndicator>
                    <Radix.ItemText>{text}</Radix.ItemText>
                  </Radix.Item>
                ))}
              </Radix.Viewport>
            </Radix.Content>
          </Radix.Portal>
        </Radix.Root>
      )}
    </Field>
  );
}
