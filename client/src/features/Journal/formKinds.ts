import type { Act } from '../../api/client';
import type { ActKind, ActOf } from './entryForm';

/**
 * Kinds of entries that have no form: they are made by a page or a tap of their own. Named apart from the forms, so
 * that the round opens without them; that every other kind has one, the compiler checks.
 */
const formless = [
  'acquired',
  'detailsChanged',
  'pairingEnded',
  'pairingSeen',
  'pictured',
  'tended',
  'webLooked',
  'withdrawn',
] as const satisfies readonly ActKind[];

export type FormKind = Exclude<ActKind, (typeof formless)[number]>;

const without: ReadonlySet<ActKind> = new Set(formless);

/** Whether an act has a form in which it can be corrected. */
export const hasForm = (act: Act): act is ActOf<FormKind> => !without.has(act.kind);
