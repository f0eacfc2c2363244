import type { Act } from '../../api/client';
import type { ActKind, ActOf } from './entryForm';

/**
 * Kinds of entries that have a form of their own. Named apart from the forms, so that the round opens
 * without them; that each has one, the compiler checks.
 */
export const formKinds = [
  'offered',
  'leftoversRemoved',
  'watered',
  'tubeSeen',
  'signSeen',
  'looked',
  'began',
  'ended',
  'chilled',
  'molted',
  'measured',
  'limbNoted',
  'sexSeen',
  'conditionSeen',
  'fangsChecked',
  'housed',
  'moved',
  'handled',
  'noted',
  'putOff',
  'departed',
  'counted',
  'gained',
  'paired',
  'placed',
  'parted',
  'gaveBirth',
  'lent',
  'returned',
  'caseTaken',
  'secondLook',
  'divided',
  'vialsMolted',
  'graded',
  'promised',
  'capped',
  'hostChosen',
  'calciumLooked',
  'boxed',
  'sickSeen',
  'warmUpPlanned',
  'queenCaught',
  'peeked',
  'nestMoved',
  'tubLooked',
  'marked',
  'recaught',
  'scooped',
  'lookedRound',
  'shellTaken',
  'shellsCounted',
] as const satisfies readonly ActKind[];

export type FormKind = (typeof formKinds)[number];

const known: ReadonlySet<ActKind> = new Set(formKinds);

/** Whether an act has a form in which it can be corrected. */
export const hasForm = (act: Act): act is ActOf<FormKind> => known.has(act.kind);
