import { Link } from 'react-router';
import { useMayWrite } from '../../ui/mayWrite';
import { useTroubles } from './queries';

/** Above every page: what is not as it should be with the record, for as long as it is so. */
export function TroubleStrip() {
  const troubles = useTroubles().data ?? [];
  const mayWrite = useMayWrite();
  return (
    <>
      {!mayWrite && (
        <p className="border-b border-line bg-raised px-6 py-1 text-13 max-sm:px-4">
          You read here; nothing that you do changes the record.
        </p>
      )}
      {troubles.length > 0 && <Troubles says={troubles} />}
    </>
  );
}

function Troubles({ says }: { says: readonly string[] }) {
  return (
    <section
      aria-label="The record"
      role="alert"
      className="border-b border-line bg-raised px-6 py-2 text-13 max-sm:px-4"
    >
      {says.map((trouble) => (
        <p key={trouble} className="max-w-[100ch]">
          {trouble}
        </p>
      ))}
      <Link className="linkish" to="/safekeeping">
        See Safekeeping
      </Link>
    </section>
  );
}
