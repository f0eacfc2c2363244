import { Check } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { keyOf } from '../../commands/catalogue';
import { Button, KeyCap } from '../../ui/Button';

interface FirstEveningProps {
  first: Schemas['FirstEvening'];
  progress: Schemas['RoundProgress'];
}

const storage = 'first-evening';

/** Leads through the evening on which the room was begun; gone the next night, or when it is put away. */
export function FirstEvening({ first, progress }: FirstEveningProps) {
  const [away, setAway] = useState(() => localStorage.getItem(storage) === 'away');
  if (away) {
    return null;
  }
  const putAway = () => {
    localStorage.setItem(storage, 'away');
    setAway(true);
  };
  const { done, total } = progress;
  return (
    <section
      aria-label="Your first evening"
      className="mx-6 mb-3 border-l-2 border-lampmark bg-raised px-4 py-3 max-sm:mx-4"
    >
      <div className="flex items-baseline justify-between gap-4">
        <h2 className="text-18">Your first evening</h2>
        <Button kind="link" className="text-13" onClick={putAway}>
          Put this away
        </Button>
      </div>
      <ol className="mt-1 grid gap-1.5 text-13">
        <Step done title={`${first.writtenDown} written down.`}>
          <Link to="/stock/many" className="linkish">
            Write down more
          </Link>
        </Step>
        <Step
          done={first.moltUnknown === 0}
          title={first.moltUnknown === 0 ? 'Last molts are known.' : 'When did each last molt?'}
        >
          {first.moltUnknown > 0 && (
            <>
              Of {first.moltUnknown} it is not on record; what is awaited of them rests on the rulebook alone.
              Between two days is enough.{' '}
              <Link to="/stock?show=undated" className="linkish">
                See them
              </Link>
            </>
          )}
        </Step>
        <Step done={total > 0 && done === total} title="Walk along once.">
          {total === 0 ? (
            'Nothing is due tonight: come back tomorrow evening.'
          ) : (
            <>
              {done} of {total} done. The light goes on by itself; say what you did by the lit button,
              <span className="max-sm:hidden">
                {' '}
                or by its key (<KeyCap>{keyOf('keys')}</KeyCap> shows all keys),
              </span>{' '}
              and take it back within ten seconds if it was wrong.
            </>
          )}
        </Step>
        <Step done={false} title="Then:">
          <Link to="/paper/labels" className="linkish">
            labels for the boxes
          </Link>
          ,{' '}
          <Link to="/shelves" className="linkish">
            what each lives in
          </Link>
          ,{' '}
          <Link to="/people" className="linkish">
            a phone to take along
          </Link>
          .
        </Step>
      </ol>
    </section>
  );
}

function Step({ done, title, children }: { done: boolean; title: string; children?: ReactNode }) {
  return (
    <li className="grid grid-cols-[18px_minmax(0,1fr)] gap-x-2">
      {done ? <Check aria-label="done" className="size-4 text-mosstext" /> : <span aria-hidden>·</span>}
      <span className="text-soft">
        <b className="font-semibold text-ink">{title}</b> {children}
      </span>
    </li>
  );
}
