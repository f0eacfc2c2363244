import type { PagePart } from '../Stock/pagePart';
import { Ants } from './Ants';
import { useColonies } from './queries';
import { Tubs } from './Tubs';

/** What the place of colonies says of this one: how many, how they grow, what is awaited, what may be taken. */
export const ColonyPanel: PagePart = ({ animal }) => {
  const colonies = useColonies();
  const tubs = colonies.data?.tubs.filter((tub) => tub.stockId === animal.stockId) ?? [];
  const ants = colonies.data?.ants.filter((one) => one.stockId === animal.stockId) ?? [];
  return tubs.length + ants.length === 0 ? null : (
    <div className="border-t border-line px-6 pb-2 max-sm:px-4">
      <Tubs tubs={tubs} tonight={animal.tonight} isAlone />
      <Ants ants={ants} tonight={animal.tonight} isAlone />
    </div>
  );
};
