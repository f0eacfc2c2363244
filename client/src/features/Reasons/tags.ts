import type { Schemas } from '../../api/client';

/** How far a rule can be trusted, in the words of the room. */
export const tagWord: Record<Schemas['RuleTag'], string> = {
  practice: 'common practice',
  published: 'published',
  house: 'our pick',
  memory: 'from memory',
  record: 'your record',
  keeper: 'changed by you',
};
