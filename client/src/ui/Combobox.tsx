import { useCombobox } from 'downshift';
import { X } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { IconButton } from './Button';
import { Field, type FieldWords } from './Field';

interface ComboboxProps<T> extends FieldWords {
  /** What fits the text that is typed, best first. */
  found: readonly T[];
  keyOf: (item: T) => string;
  textOf: (item: T) => string;
  /** One line of the list; its text when left out. */
  lineOf?: (item: T) => ReactNode;
  chosen: T | null;
  onChoose: (item: T | null) => void;
  /** Called as one types, so that what fits can be asked for. */
  onType: (text: string) => void;
  placeholder?: string;
  /** Said where nothing fits. */
  nothing?: string;
}

/** Something of a long list, found by typing. */
export function Combobox<T>({
  found,
  keyOf,
  textOf,
  lineOf = textOf,
  chosen,
  onChoose,
  onType,
  placeholder,
  nothing = 'Nothing here is called that.',
  ...words
}: ComboboxProps<T>) {
  const [typed, setTyped] = useState(false);
  const box = useCombobox<T>({
    items: [...found],
    selectedItem: chosen,
    itemToString: (item) => (item === null ? '' : textOf(item)),
    itemToKey: (item) => (item === null ? null : keyOf(item)),
    onInputValueChange: ({ inputValue, type }) => {
      if (type === useCombobox.stateChangeTypes.InputChange) {
        setTyped(true);
        onType(inputValue);
      }
    },
    onSelectedItemChange: ({ selectedItem }) => {
      setTyped(false);
      onChoose(selectedItem);
    },
  });
  const isOpen = box.isOpen && (found.length > 0 || typed);
  return (
    <Field {...words}>
      {(field) => (
        <div className="relative">
          <input
            {...box.getInputProps({ ...field, placeholder })}
            className="field pr-10"
            autoComplete="off"
          />
          {chosen !== null && (
            <IconButton
              label={`Clear: ${words.label}`}
              className="absolute inset-y-0 right-0"
              onClick={() => box.selectItem(null)}
            >
              <X className="size-4" />
            </IconButton>
          )}
          <ul
            {...box.getMenuProps()}
            className={`list-box absolute inset-x-0 top-full mt-0.5 ${isOpen ? '' : 'hidden'}`}
          >
            {isOpen &&
              found.map((item, index) => (
                <li
                  key={keyOf(item)}
                  {...box.getItemProps({ item, index })}
                  data-highlighted={box.highlightedIndex === index ? '' : undefined}
                  className="list-item pl-3"
                >
                  {lineOf(item)}
                </li>
              ))}
            {isOpen && found.length === 0 && <li className="px-3 py-2 text-muted">{nothing}</li>}
          </ul>
        </div>
      )}
    </Field>
  );
}
