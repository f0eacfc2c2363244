import type { Act, Schemas } from '../../api/client';

export type ActKind = Act['kind'];
export type ActOf<K extends ActKind> = Extract<Act, { kind: K }>;

/** Kinds of entries that have a form of their own. */
export type FormKind =
  'offered' | 'signSeen' | 'molted' | 'measured' | 'moved' | 'counted' | 'noted' | 'departed';

export const outcomes: readonly (readonly [Schemas['OfferOutcome'], string])[] = [
  ['eaten', 'Eaten'],
  ['takenLater', 'Taken later'],
  ['battedAway', 'Batted it away'],
  ['fled', 'Fled from it'],
  ['killedAndLeft', 'Killed and left it'],
  ['notSeen', 'Not seen'],
];

export const preparations: readonly (readonly [Schemas['Preparation'], string])[] = [
  ['live', 'Live'],
  ['preKilled', 'Pre-killed'],
  ['cut', 'Cut'],
];

export const bodyParts: readonly (readonly [Schemas['BodyPart'], string])[] = [
  ['legSpan', 'Leg span'],
  ['body', 'Body'],
  ['carapace', 'Carapace'],
  ['carapaceWidth', 'Carapace width'],
  ['abdomenWidth', 'Abdomen width'],
];

export const departures: readonly (readonly [Schemas['DepartureKind'], string])[] = [
  ['died', 'Died'],
  ['sold', 'Sold'],
  ['givenAway', 'Given away'],
];

export const strengthWord: Record<Schemas['SignStrength'], string> = {
  weak: 'weak',
  medium: 'medium',
  strong: 'strong',
  imminent: 'imminent',
  opposite: 'not a molt',
};

/** Whether an act has a form in which it can be corrected. */
export const hasForm = (act: Act): act is ActOf<FormKind> =>
  ['offered', 'signSeen', 'molted', 'measured', 'moved', 'counted', 'noted', 'departed'].includes(act.kind);
