import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { KeyCap } from './Button';

/** Kept free round an open menu; below also the bar at the foot of a phone. */
const padding = { top: 12, right: 12, bottom: 76, left: 12 };

interface MenuProps {
  /** The button that opens it. */
  trigger: ReactNode;
  children: ReactNode;
  align?: 'start' | 'end';
  /** Given where something else opens it too, such as a key. */
  open?: boolean;
  onOpenChange?: (open: boolean) => void;
}

/** Lines to choose from, behind one button; each can be picked by its letter while the menu is open. */
export function Menu({ trigger, children, align = 'start', open, onOpenChange }: MenuProps) {
  return (
    <DropdownMenu.Root
      modal={false}
      {...(open === undefined ? {} : { open })}
      {...(onOpenChange === undefined ? {} : { onOpenChange })}
    >
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align={align}
          sideOffset={4}
          collisionPadding={padding}
          className="menu-box"
          onKeyDown={pickByLetter}
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

interface MenuItemProps {
  letter: string;
  onSelect: () => void;
  children: ReactNode;
}

/** A menu line with the key that picks it while the menu is open. */
export function MenuItem({ letter, onSelect, children }: MenuItemProps) {
  return (
    <DropdownMenu.Item onSelect={onSelect} data-letter={letter} className="menu-item">
      <KeyCap>{letter}</KeyCap>
      {children}
    </DropdownMenu.Item>
  );
}

/** Parts what belongs together from the rest. */
export function MenuRule() {
  return <DropdownMenu.Separator className="my-1 border-t border-line" />;
}

/** Picks the menu line whose letter was pressed. */
function pickByLetter(event: React.KeyboardEvent<HTMLElement>): void {
  if (event.ctrlKey || event.metaKey || event.altKey || event.key.length !== 1) {
    return;
  }
  const item = event.currentTarget.querySelector<HTMLElement>(
    `[data-letter="${CSS.escape(event.key.toLowerCase())}"]`,
  );
  if (item !== null) {
    event.preventDefault();
    item.click();
  }
}
