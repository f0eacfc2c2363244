import { animalBenches } from './animalBenches';
import type { Bench } from './benchParts';
import { pairingBenches } from './pairingBenches';
import { nurseryBenches } from './nurseryBenches';
import { climateBenches } from './climateBenches';

/** Every calculator, those about an animal first. */
export const benches: readonly Bench[] = [
  ...animalBenches,
  ...pairingBenches,
  ...nurseryBenches,
  ...climateBenches,
];
