import type { Schemas } from '../../api/client';

export const traitWord: Record<Schemas['FeederTrait'], string> = {
  climbs: 'climbs',
  jumps: 'jumps',
  burrows: 'burrows',
  bites: 'bites',
  flies: 'flies',
  hides: 'hides',
};

/** An id made of a name: small letters, digits and hyphens. */
export const idOf = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40);
