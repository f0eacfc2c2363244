import { useEffect, useEffectEvent } from 'react';

export type KeyMap = Partial<Record<string, (event: KeyboardEvent) => void>>;

/** Keys that go on while they are held; any other held key is one press, so that nothing is logged twice. */
const walks = ['ArrowDown', 'ArrowUp', 'ArrowLeft', 'ArrowRight', 'j', 'k'];

/** Keys with which whatever has the focus is pressed; they are its own. */
const presses = ['Enter', ' '];

/** Whether a key press belongs to something else: a field, an open dialog or menu, what has the focus, a browser shortcut. */
function isTaken(event: KeyboardEvent, pressedOn: string | undefined): boolean {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) {
    return true;
  }
  if (event.repeat && !walks.includes(event.key)) {
    return true;
  }
  const target = event.target instanceof Element ? event.target : null;
  const idle = target === document.body || target?.id === 'main';
  const ours = pressedOn !== undefined && target?.closest(pressedOn) != null;
  if (presses.includes(event.key) && !idle && !ours) {
    return true;
  }
  return (
    target?.closest('input, textarea, select, [contenteditable], [role=dialog][data-modal], [role=menu]') !==
      null && target !== null
  );
}

/**
 * Single-letter keys while nothing else wants them. Names are those of `KeyboardEvent.key`. Enter and Space belong to what
 * has the focus, unless that lies within `pressedOn`.
 */
export function useKeys(keys: KeyMap, pressedOn?: string): void {
  const pressed = useEffectEvent((event: KeyboardEvent) => {
    if (isTaken(event, pressedOn)) {
      return;
    }
    const act = keys[event.key];
    if (act) {
      event.preventDefault();
      act(event);
    }
  });
  useEffect(() => {
    const listener = (event: KeyboardEvent) => pressed(event);
    window.addEventListener('keydown', listener);
    return () => window.removeEventListener('keydown', listener);
  }, []);
}
