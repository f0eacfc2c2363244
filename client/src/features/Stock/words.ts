import type { Schemas } from '../../api/client';

export const stageWord: Record<Schemas['Stage'], string> = {
  sling: 'sling',
  juvenile: 'juvenile',
  subAdult: 'sub-adult',
  adult: 'adult',
};

export const partWord: Record<Schemas['BodyPart'], string> = {
  legSpan: 'leg span',
  body: 'body',
  carapace: 'carapace',
  carapaceWidth: 'carapace width',
  abdomenWidth: 'abdomen width',
};
