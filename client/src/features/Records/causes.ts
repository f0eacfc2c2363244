import type { Schemas } from '../../api/client';

/** Of what animals die; one list everywhere. */
export const causes: readonly (readonly [NonNullable<Schemas['LossCause']>, string])[] = [
  ['mismolt', 'Mismolt'],
  ['disease', 'Disease'],
  ['parasite', 'Parasite'],
  ['predation', 'Predation'],
  ['cannibalised', 'Eaten by its own kind'],
  ['injured', 'Injured'],
  ['dried', 'Dried out'],
  ['unexplained', 'Unexplained'],
];
