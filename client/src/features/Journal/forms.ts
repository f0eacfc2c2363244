import type { Act } from '../../api/client';
import { feedingForms } from '../Feeding/feedingForms';
import { growthForms } from '../Growth/growthForms';
import { housingForms } from '../Housing/housingForms';
import { pairingForms } from '../Pairing/pairingForms';
import { countForms } from '../Records/countForms';
import { loanForms } from '../Records/loanForms';
import { offshootForms } from '../Records/offshootForms';
import { recordForms } from '../Records/recordForms';
import { tankForms } from '../Tanks/tankForms';
import { vigilForms } from '../Vigils/vigilForms';
import type { ActKind, ActOf, EntryForm } from './entryForm';

/** The forms of all features, by the kind of entry that they make. */
export const forms = {
  ...feedingForms,
  ...vigilForms,
  ...growthForms,
  ...housingForms,
  ...recordForms,
  ...countForms,
  ...pairingForms,
  ...tankForms,
  ...offshootForms,
  ...loanForms,
} satisfies { [K in ActKind]?: EntryForm<K> };

/** Kinds of entries that have a form of their own. */
export type FormKind = keyof typeof forms;

/** The form of a kind. Each takes only acts of its own kind, which the registry above has checked. */
export const formOf = (kind: FormKind) => forms[kind] as unknown as EntryForm<FormKind>;

/** Whether an act has a form in which it can be corrected. */
export const hasForm = (act: Act): act is ActOf<FormKind> => act.kind in forms;
