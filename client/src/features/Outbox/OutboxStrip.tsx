import { Button } from '../../ui/Button';
import { type ReactNode, useState } from 'react';
import type { Outgoing } from '../../api/outbox';
import { reach, useReach } from '../../api/reach';
import { outbox, useOutbox } from '../../api/writing';
import { localClock, localDay } from '../../ui/dates';
import { loadServedPage } from '../../ui/install';
import { SetAsideRow } from './SetAsideRow';

const count = (n: number, one: string, many: string) => (n === 1 ? `1 ${one}` : `${n} ${many}`);

/** Earlier of two instants, of which either may be none. */
const earlier = (a: string | null, b: string | null) => (a === null || (b !== null && b < a) ? b : a);

/**
 * What stands between this page and the server: that it does not answer and since when, what waits for it on this device, what
 * it has refused, and that there is a newer page. Nothing of it is lost, whatever happens.
 */
export function OutboxStrip() {
  const { items, silentSince, signIn, isKept } = useOutbox();
  const contact = useReach();
  const aside = items.filter((item) => item.setAside !== null);
  const others = items.filter((item) => item.setAside === null && !outbox.isMine(item));
  const waiting = items.filter((item) => item.setAside === null && outbox.isMine(item));
  const since = earlier(silentSince, contact.silentSince);
  const stands = since !== null || signIn;
  if (aside.length + others.length === 0 && !stands && isKept && !contact.isNewer) {
    return null;
  }
  return (
    <section
      aria-label="Waiting for the server"
      className="max-h-[40dvh] flex-none overflow-y-auto border-t border-edge bg-raised px-6 py-1.5 text-13 max-sm:px-4"
    >
      {stands && <OutOfReach since={since} heardAt={contact.heardAt} signIn={signIn} waiting={waiting} />}
      {others.length > 0 && (
        <p>
          {count(others.length, 'entry', 'entries')} of{' '}
          {[...new Set(others.map((item) => item.by))].join(', ')} {others.length === 1 ? 'waits' : 'wait'} on
          this device until they sign in here.
        </p>
      )}
      {!isKept && (
        <p>
          <b className="font-semibold text-ember">This browser keeps nothing.</b> What waits is lost when the
          page is closed: leave it open until the server has answered.
        </p>
      )}
      {contact.isNewer && (
        <Line
          button={
            <Button kind="plain" onClick={() => void loadServedPage()}>
              Load it
            </Button>
          }
        >
          <b className="font-semibold text-lamptext">The server was updated.</b> This page still works as it
          is; what waits stays.
        </Line>
      )}
      {aside.map((item) => (
        <SetAsideRow key={item.seq} item={item} />
      ))}
    </section>
  );
}

function Line({ children, button }: { children: ReactNode; button: ReactNode }) {
  return (
    <div role="status" className="flex items-center gap-x-3">
      <span className="min-w-0 flex-1">{children}</span>
      {button}
    </div>
  );
}

interface OutOfReachProps {
  since: string | null;
  heardAt: string | null;
  signIn: boolean;
  waiting: readonly Outgoing[];
}

/** The server does not answer, or asks who one is: since when, how old is what is shown, and what waits. */
function OutOfReach({ since, heardAt, signIn, waiting }: OutOfReachProps) {
  const [shown, setShown] = useState(false);
  return (
    <>
      <Line
        button={
          <Button
            kind="plain"
            onClick={() => {
              outbox.poke();
              // Whatever answers says that it is back, and the rest follows.
              void reach.tryNow();
            }}
          >
            Try now
          </Button>
        }
      >
        {since !== null && (
          <b className="font-semibold text-lamptext">Not live since {localClock(since)}. </b>
        )}
        {signIn && <b className="font-semibold text-lamptext">Signed out. </b>}
        {waiting.length === 0 ? (
          <>
            What you see is of {heardAt === null ? 'then' : `${localDay(heardAt)} ${localClock(heardAt)}`};
            what you log is kept on this device.
          </>
        ) : (
          <>
            <Button
              kind="link"
              className="touch:min-h-11"
              aria-expanded={shown}
              onClick={() => setShown(!shown)}
            >
              {count(waiting.length, 'entry waits', 'entries wait')}
            </Button>{' '}
            on this device
            <span className="max-sm:sr-only">
              {' '}
              and {waiting.length === 1 ? 'is' : 'are'} written as soon as the server{' '}
              {signIn ? 'knows you again' : 'answers'}, each at its own time
            </span>
            .
          </>
        )}
      </Line>
      {shown && (
        <ul className="mb-1 text-muted">
          {waiting.map((item) => (
            <li key={item.seq}>
              {localClock(item.tapped)} {item.text}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
