import { useSyncExternalStore } from 'react';

export type Look = 'daylight' | 'lantern' | 'ember';

export const looks: readonly (readonly [Look, string])[] = [
  ['daylight', 'Daylight'],
  ['lantern', 'Lantern'],
  ['ember', 'Ember'],
];

const listeners = new Set<() => void>();

function readLook(): Look {
  const look = document.documentElement.dataset['look'];
  return look === 'daylight' || look === 'ember' ? look : 'lantern';
}

/** Changes the look and remembers it on this device. */
export function setLook(look: Look): void {
  document.documentElement.dataset['look'] = look;
  // The bars of the browser round the page are of the same ground.
  const ground = getComputedStyle(document.documentElement).getPropertyValue('--bg').trim();
  document.querySelector<HTMLMetaElement>('meta[name=theme-color]')?.setAttribute('content', ground);
  localStorage.setItem('look', look);
  listeners.forEach((listener) => listener());
}

/** The look of this device. */
export const useLook = (): Look =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, readLook);
