import { BroodPanel } from './BroodPanel';

/** What the nursery has to say on an animal's page. */
export const nurseryParts = { brood: BroodPanel };
