import { Check, ChevronDown } from 'lucide-react';
import { Select as Radix } from 'radix-ui';
import type { ComponentProps } from 'react';
import { Field, type FieldWords } from './Field';
import { styleNonce } from './nonce';

interface Choosable<T extends string> {
  options: readonly (readonly [value: T, text: string])[];
  value: T;
  onChange: (value: T) => void;
  /** Said while nothing is chosen. */
  placeholder?: string;
}

/** Radix keeps the empty text for "nothing chosen"; a choice of "all" or "none" is one like any other. */
const none = '∅';

const kept = (value: string) => (value === '' ? none : value);

interface ListProps<T extends string> extends Choosable<T> {
  trigger: ComponentProps<'button'>;
}

function List<T extends string>({ options, value, onChange, placeholder, trigger }: ListProps<T>) {
  const isChosen = options.some(([key]) => key === value);
  return (
    <Radix.Root
      value={isChosen ? kept(value) : ''}
      onValueChange={(next) => onChange((next === none ? '' : next) as T)}
    >
      <Radix.Trigger {...trigger} className={`field field-list ${trigger.className ?? ''}`}>
        <span className="min-w-0 truncate">
          <Radix.Value placeholder={placeholder} />
        </span>
        <Radix.Icon>
          <ChevronDown className="size-4" />
        </Radix.Icon>
      </Radix.Trigger>
      <Radix.Portal>
        <Radix.Content position="popper" sideOffset={2} collisionPadding={8} className="list-box">
          <Radix.Viewport nonce={styleNonce()}>
            {options.map(([key, text]) => (
              <Radix.Item key={key} value={kept(key)} className="list-item">
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
  );
}

/** A labelled list of which one is taken: its colours are those of the look, also in a dark room. */
export function Select<T extends string>({ label, hint, error, ...list }: Choosable<T> & FieldWords) {
  return (
    <Field label={label} hint={hint} error={error}>
      {(field) => <List {...list} trigger={field} />}
    </Field>
  );
}

/** The same in a row of filters, where it says itself what it is of. */
export function Filter<T extends string>({ label, ...list }: Choosable<T> & { label: string }) {
  return (
    <List
      {...list}
      trigger={{
        'aria-label': label,
        className: `filter ${list.value === '' ? 'text-muted' : 'font-semibold'}`,
      }}
    />
  );
}
