import { feedingForms } from '../Feeding/feedingForms';
import { growthForms } from '../Growth/growthForms';
import { housingForms } from '../Housing/housingForms';
import { pairingForms } from '../Pairing/pairingForms';
import { countForms } from '../Records/countForms';
import { calciumForms } from '../Colonies/calciumForm';
import { colonyForms } from '../Colonies/colonyForms';
import { larvaForms } from '../Nursery/larvaForms';
import { handOnForms } from '../Records/handOnForms';
import { loanForms } from '../Records/loanForms';
import { offshootForms } from '../Records/offshootForms';
import { recordForms } from '../Records/recordForms';
import { shellForms } from '../Tanks/shellForms';
import { tankForms } from '../Tanks/tankForms';
import { trayForms } from '../Trays/trayForms';
import { vigilForms } from '../Vigils/vigilForms';
import type { EntryForm } from './entryForm';
import type { FormKind } from './formKinds';

/** The forms of all features, by the kind of entry that they make. */
export const forms = {
  ...feedingForms,
  ...vigilForms,
  ...growthForms,
  ...housingForms,
  ...recordForms,
  ...countForms,
  ...handOnForms,
  ...larvaForms,
  ...calciumForms,
  ...colonyForms,
  ...pairingForms,
  ...tankForms,
  ...shellForms,
  ...offshootForms,
  ...loanForms,
  ...trayForms,
} satisfies { [K in FormKind]: EntryForm<K> };

/** The form of a kind. Each takes only acts of its own kind, which the registry above has checked. */
export const formOf = (kind: FormKind) => forms[kind] as unknown as EntryForm<FormKind>;
