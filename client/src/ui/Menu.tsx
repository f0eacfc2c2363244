import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';

/** Kept free round an open menu; below also the bar at the foot of a phone. */
export const menuPadding = { top: 12, right: 12, bottom: 76, left: 12 };

export const menuClass =
  'z-50 max-h-(--radix-dropdown-menu-content-available-height) min-w-60 overflow-y-auto rounded-s border border-edge bg-raised py-1';

interface MenuItemProps {
  letter: string;
  onSelect: () => void;
  children: ReactNode;
}

/** A menu line with the key that picks it while the menu is open. */
export function MenuItem({ letter, onSelect, children }: MenuItemProps) {
  return (
    <DropdownMenu.Item
      onSelect={onSelect}
      data-letter={letter}
      className="flex min-h-10 cursor-pointer items-center gap-3 px-3 outline-none data-highlighted:bg-lamp data-highlighted:text-onlamp max-sm:min-h-12"
    >
      <kbd>{letter.toUpperCase()}</kbd>
      {children}
    </DropdownMenu.Item>
  );
}

/** Picks the menu line whose letter was pressed; for `onKeyDown` of a menu's content. */
export function pickByLetter(event: React.KeyboardEvent<HTMLElement>): void {
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
