import { animalBenches } from './animalBenches';
import type { Bench } from './benchParts';
import { pairingBenches } from './pairingBenches';
import { nurseryBenches } from './nurseryBenches';
import { climateBenches } from './climateBenches';
import { colonyBenches } from './colonyBenches';
import { larvaBenches } from './larvaBenches';

/** Every calculator, those about an animal first. */
export const benches: readonly Bench[] = [
  ...animalBenches,
  ...pairingBenches,
  ...nurseryBenches,
  ...larvaBenches,
  ...colonyBenches,
  ...climateBenches,
];
