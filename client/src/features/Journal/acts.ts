import type { Act, Schemas } from '../../api/client';

export type ActKind = Act['kind'];
export type ActOf<K extends ActKind> = Extract<Act, { kind: K }>;

/** Kinds of entries that have a form of their own. */
export const formKinds = [
  'offered',
  'signSeen',
  'molted',
  'measured',
  'moved',
  'counted',
  'handled',
  'limbNoted',
  'sexSeen',
  'noted',
  'putOff',
  'housed',
  'departed',
  'watered',
  'tubeSeen',
  'conditionSeen',
  'looked',
  'leftoversRemoved',
  'fangsChecked',
  'began',
  'ended',
  'chilled',
] as const satisfies readonly ActKind[];

export type FormKind = (typeof formKinds)[number];

export const outcomes: readonly (readonly [Schemas['OfferOutcome'], string])[] = [
  ['eaten', 'Eaten'],
  ['takenLater', 'Taken later'],
  ['battedAway', 'Batted it away'],
  ['fled', 'Fled from it'],
  ['killedAndLeft', 'Killed and left it'],
  ['notSeen', 'Not seen'],
  ['stillEating', 'Still eating'],
  ['seenToCatch', 'Seen to catch it'],
  ['foundUneaten', 'Found whole, taken out'],
];

export const waterKinds: readonly (readonly [Schemas['WaterKind'], string])[] = [
  ['dish', 'Dish filled'],
  ['mist', 'Misted'],
  ['damp', 'Damp side moistened'],
  ['pools', 'Both pools filled'],
];

export const tubeWaters: readonly (readonly [Schemas['TubeWater'], string])[] = [
  ['full', 'Full'],
  ['low', 'Low'],
  ['gone', 'Gone'],
];

export const conditions: readonly (readonly [Schemas['BodyCondition'], string])[] = [
  ['thin', 'Thin'],
  ['normal', 'Normal'],
  ['full', 'Full'],
  ['veryFull', 'Very full'],
];

export const preparations: readonly (readonly [Schemas['Preparation'], string])[] = [
  ['live', 'Live'],
  ['preKilled', 'Pre-killed'],
  ['cut', 'Cut'],
  ['fresh', 'As it is'],
];

export const bodyParts: readonly (readonly [Schemas['BodyPart'], string])[] = [
  ['legSpan', 'Leg span'],
  ['body', 'Body'],
  ['carapace', 'Carapace'],
  ['carapaceWidth', 'Carapace width'],
  ['abdomenWidth', 'Abdomen width'],
  ['headCapsule', 'Head capsule'],
  ['claw', 'Large claw'],
  ['foreleg', 'Foreleg, femur and tibia'],
];

export const departures: readonly (readonly [Schemas['DepartureKind'], string])[] = [
  ['died', 'Died'],
  ['sold', 'Sold'],
  ['givenAway', 'Given away'],
  ['escaped', 'Escaped'],
  ['released', 'Released, where lawful'],
  ['lost', 'Lost'],
];

export const cares: readonly (readonly [Schemas['CareAct'], string])[] = [
  ['handle', 'Handled'],
  ['rehouse', 'Rehoused'],
  ['dig', 'Dug up or opened'],
  ['clean', 'Cleaned'],
  ['brightLight', 'Bright light'],
  ['pair', 'Put together with a mate'],
];

export const limbStates: readonly (readonly [Schemas['LimbState'], string])[] = [
  ['lost', 'Lost'],
  ['small', 'Grown again, small'],
  ['full', 'Full size again'],
];

export const sexEvidence: readonly (readonly [Schemas['SexEvidence'], string])[] = [
  ['shedSkin', 'The shed skin'],
  ['furrow', 'The furrow'],
  ['adultMarks', 'Adult marks'],
  ['segments', 'Segments below the abdomen'],
  ['pores', 'Pores or tubes'],
  ['pectines', 'The combs'],
  ['antennae', 'Antennae'],
  ['looks', 'Its looks'],
];

export const strengthWord: Record<Schemas['SignStrength'], string> = {
  weak: 'weak',
  medium: 'medium',
  strong: 'strong',
  imminent: 'imminent',
  opposite: 'not a molt',
};

/** Whether an act has a form in which it can be corrected. */
export const hasForm = (act: Act): act is ActOf<FormKind> => formKinds.some((kind) => kind === act.kind);
