import { Link } from 'react-router';
import { useReads } from '../Access/queries';
import { useTroubles } from './queries';

/** Above every page: what is not as it should be with the record, for as long as it is so. */
export function TroubleStrip() {
  const troubles = useTroubles().data ?? [];
  const reads = useReads();
  if (troubles.length === 0) {
    return reads ? (
      <p className="border-b border-line bg-raised px-6 py-1 text-13 max-sm:px-4">
        You read here; nothing that you do changes the record.
      </p>
    ) : null;
  }
  return (
    <section
      aria-label="The record"
      role="alert"
      className="border-b border-line bg-raised px-6 py-2 text-13 max-sm:px-4"
    >
      {troubles.map((says) => (
        <p key={says} className="max-w-[100ch]">
          {says}
        </p>
      ))}
      <Link className="linkish" to="/safekeeping">
        See Safekeeping
      </Link>
    </section>
  );
}
