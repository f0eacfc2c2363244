import { type KeyboardEvent, useState } from 'react';

/** The next element in a direction: the nearest whose middle lies that way. */
function towards(from: Element, all: readonly Element[], key: string): Element | undefined {
  const middle = (element: Element) => {
    const box = element.getBoundingClientRect();
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  const here = middle(from);
  const sideways = key === 'ArrowLeft' || key === 'ArrowRight';
  const sign = key === 'ArrowRight' || key === 'ArrowDown' ? 1 : -1;
  // Along the way counts as it is, beside it more: a neighbour in the same row comes before one further up.
  const far = (element: Element) => {
    const at = middle(element);
    const [along, beside] = sideways ? [at.x - here.x, at.y - here.y] : [at.y - here.y, at.x - here.x];
    return along * sign <= 1 ? Number.POSITIVE_INFINITY : along * sign + 4 * Math.abs(beside);
  };
  const [nearest] = all.filter((element) => element !== from).toSorted((a, b) => far(a) - far(b));
  return nearest !== undefined && far(nearest) < Number.POSITIVE_INFINITY ? nearest : undefined;
}

/** What each of the things gets. */
export interface RovingItem {
  'data-roving': string;
  tabIndex: 0 | -1;
  onFocus: () => void;
}

/**
 * One stop of the Tab key for many things of a drawing; the arrows walk within. Each gets the properties of `item`, what
 * stands round them those of `group`.
 * @param keys Names of the things in the order in which they are told.
 */
export function useRoving(keys: readonly string[]) {
  const [walkedTo, setWalkedTo] = useState<string | null>(null);
  const at = walkedTo !== null && keys.includes(walkedTo) ? walkedTo : (keys[0] ?? null);
  return {
    group: {
      onKeyDown: (event: KeyboardEvent) => {
        if (event.defaultPrevented || !(event.target instanceof Element)) {
          return;
        }
        const all = [...event.currentTarget.querySelectorAll('[data-roving]')];
        const to =
          event.key === 'Home'
            ? all[0]
            : event.key === 'End'
              ? all.at(-1)
              : event.key.startsWith('Arrow')
                ? towards(event.target, all, event.key)
                : undefined;
        if (to instanceof SVGElement || to instanceof HTMLElement) {
          event.preventDefault();
          event.stopPropagation();
          to.focus();
        }
      },
    },
    item: (key: string): RovingItem => ({
      'data-roving': key,
      tabIndex: key === at ? 0 : -1,
      onFocus: () => setWalkedTo(key),
    }),
  };
}
