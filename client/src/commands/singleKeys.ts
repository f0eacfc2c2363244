import { useSyncExternalStore } from 'react';

const storage = 'single-keys';
const listeners = new Set<() => void>();

/** Whether one letter alone does something on this device; who speaks to it may want that off (WCAG 2.1.4). */
export const singleKeysAreOn = (): boolean => localStorage.getItem(storage) !== 'off';

export function setSingleKeys(on: boolean): void {
  localStorage.setItem(storage, on ? 'on' : 'off');
  listeners.forEach((listener) => listener());
}

export const useSingleKeys = (): boolean =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, singleKeysAreOn);
