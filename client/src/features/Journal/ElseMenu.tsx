import { DropdownMenu } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Act } from '../../api/client';
import { ActDialogFor } from './ActDialogFor';
import type { FormKind } from './acts';
import { useDone } from './DoneContext';
import { MenuItem, menuClass, pickByLetter } from '../../ui/Menu';

interface ElseMenuProps {
  stockId: string;
  name: string;
  brood?: boolean;
  trigger: ReactNode;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}

const quickActs: readonly (readonly [string, string, Act])[] = [
  ['d', 'Dish filled', { kind: 'watered', water: 'dish' }],
  ['i', 'Misted', { kind: 'watered', water: 'mist' }],
  ['l', 'Looked: no sign', { kind: 'looked' }],
  ['x', 'Leftovers taken out', { kind: 'leftoversRemoved' }],
  ['b', 'Fangs black', { kind: 'fangsChecked', hard: true }],
];

const forms: readonly (readonly [string, string, FormKind])[] = [
  ['o', 'Other food offered…', 'offered'],
  ['m', 'Molted…', 'molted'],
  ['e', 'Measured…', 'measured'],
  ['v', 'Moved…', 'moved'],
  ['t', 'Note…', 'noted'],
  ['c', 'Counted…', 'counted'],
];

/** Everything else that can be logged at an enclosure. */
export function ElseMenu({ stockId, name, brood = false, trigger, open, onOpenChange }: ElseMenuProps) {
  const { quick } = useDone();
  const navigate = useNavigate();
  const [form, setForm] = useState<FormKind | null>(null);
  return (
    <>
      <DropdownMenu.Root open={open} onOpenChange={onOpenChange} modal={false}>
        <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="start"
            sideOffset={4}
            collisionPadding={12}
            className={menuClass}
            onKeyDown={pickByLetter}
          >
            {quickActs.map(([key, label, act]) => (
              <MenuItem key={key} letter={key} onSelect={() => quick(stockId, name, act)}>
                {label}
              </MenuItem>
            ))}
            <DropdownMenu.Separator className="my-1 border-t border-line" />
            {forms
              .filter(([, , kind]) => kind !== 'counted' || brood)
              .map(([key, label, kind]) => (
                <MenuItem key={key} letter={key} onSelect={() => setForm(kind)}>
                  {label}
                </MenuItem>
              ))}
            <DropdownMenu.Separator className="my-1 border-t border-line" />
            <MenuItem letter="h" onSelect={() => void navigate(`/stock/${stockId}/edit`)}>
              Change details…
            </MenuItem>
            <MenuItem letter="q" onSelect={() => setForm('departed')}>
              Leaves the collection…
            </MenuItem>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {form !== null && <ActDialogFor stockId={stockId} kind={form} onClose={() => setForm(null)} />}
    </>
  );
}
