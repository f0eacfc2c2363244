export type Look = 'daylight' | 'lantern' | 'ember';

export const looks: readonly (readonly [Look, string])[] = [
  ['daylight', 'Daylight'],
  ['lantern', 'Lantern'],
  ['ember', 'Ember'],
];

/** The look of this device. */
export function readLook(): Look {
  const look = document.documentElement.dataset['look'];
  return look === 'daylight' || look === 'ember' ? look : 'lantern';
}

/** Changes the look and remembers it on this device. */
export function setLook(look: Look): void {
  document.documentElement.dataset['look'] = look;
  localStorage.setItem('look', look);
}
