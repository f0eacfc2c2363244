import type { Schemas } from '../../api/client';

/** Ways in which a number is found. */
export const methods: readonly (readonly [NonNullable<Schemas['CountMethod']>, string])[] = [
  ['oneByOne', 'One by one'],
  ['inPicture', 'In a picture'],
  ['fromPart', 'Reckoned from a part'],
  ['byWeight', 'By weight'],
  ['byEye', 'Estimated by eye'],
  ['recaptured', 'Marked ones caught again'],
];
