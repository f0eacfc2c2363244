import { Writes } from '../../ui/Writes';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Check } from '../../ui/Field';
import { PageTitle } from '../../ui/PageTitle';
import { useWakeLock } from '../../ui/useWakeLock';
import { Waiting } from '../../ui/Waiting';
import { WhyButton } from '../../ui/WhyButton';
import { useDone } from '../Journal/DoneContext';
import { useWhy } from '../Reasons/WhyContext';
import { useRun } from './queries';
import { RunEnding } from './RunEnding';
import { RunClock, RunSights } from './RunMoments';
import { Steps } from './runParts';
import { type Run, useRunSoFar } from './runState';

/** A pairing that is led: before it, while it goes on, and after it. */
export function RunPage() {
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const other = search.get('with');
  const query = useRun(id, other);
  return (
    <div className="max-w-[46rem] px-6 pt-4 pb-28 max-sm:px-4">
      <Waiting query={query} what="The pairing">
        {(sheet) => (
          <Led
            key={`${id} ${other}`}
            id={id}
            other={other}
            sheet={sheet}
            ahead={Date.parse(sheet.now) - query.dataUpdatedAt}
          />
        )}
      </Waiting>
    </div>
  );
}

interface LedProps {
  id: string;
  other: string | null;
  sheet: Schemas['RunSheet'];
  ahead: number;
}

function Led({ id, other, sheet, ahead }: LedProps) {
  const run = useRunSoFar(sheet, id);
  const isOpen = run !== null && run.end === null;
  // Asked for a pair anew, the former pairing of the two is over and done; one that went on here is told to its end.
  const [followed, setFollowed] = useState(isOpen);
  if (isOpen && !followed) {
    setFollowed(true);
  }
  const again = other !== null && !isOpen && !followed;
  useWakeLock(isOpen);
  return (
    <>
      <PageTitle>{`${sheet.she.name} and ${sheet.he.name}`}</PageTitle>
      <h1 className="page-title">
        {sheet.she.name} × {sheet.he.name}
      </h1>
      {run === null || again ? (
        <Before id={id} sheet={sheet} />
      ) : run.end === null ? (
        <Together id={id} sheet={sheet} run={run} ahead={ahead} />
      ) : (
        <Over id={id} sheet={sheet} run={run} ahead={ahead} />
      )}
    </>
  );
}

/** Who they are, and whether anything speaks against it. */
function Who({ one }: { one: Schemas['RunMate'] }) {
  const { toggle } = useWhy();
  return (
    <li className="border-t border-line py-1.5">
      {one.code !== '' && <span className="code">{one.code}</span>}{' '}
      {one.stockId === null ? (
        <b>{one.name}</b>
      ) : (
        <Link to={`/stock/${one.stockId}`} className="font-semibold hover:underline">
          {one.name}
        </Link>
      )}{' '}
      <span className={one.word === 'ready' || one.word === null ? 'text-soft' : 'text-ember'}>
        {one.says}
      </span>{' '}
      {one.why.length > 0 && (
        <WhyButton
          of={`whether ${one.name} may be paired`}
          onClick={() =>
            toggle({
              title: `May ${one.name} be paired?`,
              animal: null,
              summary: one.says,
              reasons: one.why,
            })
          }
        />
      )}
    </li>
  );
}

/** What has to be confirmed before they are put together all the same. */
const against = (sheet: Schemas['RunSheet']): string[] => [
  ...(sheet.kin?.stops === true ? [sheet.kin.why.text] : []),
  ...[sheet.she, sheet.he]
    .filter((one) => one.word === 'not' || one.word === 'soon')
    .map((one) => `${one.name}: ${one.says}`),
];

function Before({ id, sheet }: { id: string; sheet: Schemas['RunSheet'] }) {
  const { quick, isBusy } = useDone();
  const [method, setMethod] = useState<Schemas['PairingMethod']>(sheet.ways[0]?.way.method ?? 'watched');
  const [anyway, setAnyway] = useState(false);
  const way = (sheet.ways.find((w) => w.way.method === method) ?? sheet.ways[0])?.way;
  const stops = against(sheet);
  const mate = sheet.she.stockId === id ? sheet.he : sheet.she;
  if (way === undefined) {
    return null;
  }
  return (
    <>
      <ul>
        <Who one={sheet.she} />
        <Who one={sheet.he} />
      </ul>
      {sheet.kin !== null && sheet.kin.word !== 'apart' && !sheet.kin.stops && (
        <p className="text-13 text-lamptext">{sheet.kin.why.text}</p>
      )}
      {sheet.hour !== '' && <p className="text-soft">{sheet.hour}</p>}
      <div role="group" aria-label="How" className="my-3 flex flex-wrap gap-2">
        {sheet.ways.map((w) => (
          <Button
            key={w.way.method}
            kind={w.way.method === method ? 'first' : 'usual'}
            aria-pressed={w.way.method === method}
            onClick={() => setMethod(w.way.method)}
          >
            {w.name}
            {w.isUsual ? ', the usual way' : ''}
          </Button>
        ))}
      </div>
      <Steps title="At hand" steps={[...sheet.safety, ...way.kit]} ticked />
      <Steps title="Before" steps={way.before} ticked />
      {sheet.spinsWeb && sheet.he.stockId !== null && <OldWeb he={sheet.he} />}
      <Steps title="Meanwhile" steps={way.meanwhile} />
      <p className="mt-3 border-l-2 border-ember pl-3">
        <b>Part them:</b> {way.abort}
      </p>
      {stops.length > 0 && (
        <div role="alert" className="mt-3 border-l-2 border-ember pl-3">
          {stops.map((text) => (
            <p key={text}>{text}</p>
          ))}
          <Writes>
            <Check label="Put together all the same" value={anyway} onChange={setAnyway} />
          </Writes>
        </div>
      )}
      <Button
        writes
        kind="first"
        className="mt-4 min-h-13 w-full text-16"
        disabled={isBusy(id) || (stops.length > 0 && !anyway)}
        onClick={() =>
          quick(
            id,
            sheet.she.stockId === id ? sheet.she.name : sheet.he.name,
            {
              kind: 'paired',
              partnerId: mate.stockId,
              partner: mate.stockId === null ? mate.name : null,
              method,
              led: true,
              despiteKin: sheet.kin?.stops === true ? true : null,
            },
            { label: `put together with ${mate.name}` },
          )
        }
      >
        They are together now
      </Button>
      {way.method === 'netOvernight' && (
        <p className="mt-2 text-13 text-muted">
          The round of the next evening asks how it ended; set an alarm for the morning.
        </p>
      )}
    </>
  );
}

/** His old web is cleared before, so that a new one tells something. */
function OldWeb({ he }: { he: Schemas['RunMate'] }) {
  const { quick, isBusy } = useDone();
  const id = he.stockId ?? '';
  return (
    <Button
      writes
      className="mt-2"
      disabled={isBusy(id)}
      onClick={() =>
        quick(id, he.name, { kind: 'webLooked', look: 'oldCleared' }, { label: 'an old web, cleared' })
      }
    >
      Log: an old web was there, cleared
    </Button>
  );
}

interface RunningProps {
  id: string;
  sheet: Schemas['RunSheet'];
  run: Run;
  ahead: number;
}

function Together({ id, sheet, run, ahead }: RunningProps) {
  const way = sheet.ways.find((w) => w.way.method === run.method)?.way ?? sheet.ways[0]?.way;
  // In the dark of a net nothing is seen: what comes next are the steps of the morning.
  const unseen = run.method === 'netOvernight';
  const after = way !== undefined && <Steps title="When they part" steps={way.after} ticked />;
  return (
    <>
      <RunClock run={run} ahead={ahead} />
      {sheet.part !== null && (
        <p
          role="alert"
          className="my-2 rounded-s border-2 border-ember px-3 py-2 text-16 font-semibold text-ember"
        >
          {sheet.part}
        </p>
      )}
      {!unseen && <RunSights id={id} sheet={sheet} run={run} ahead={ahead} />}
      {way !== undefined && (
        <>
          <Steps title="Meanwhile" steps={way.meanwhile} />
          <p className="mt-2 border-l-2 border-ember pl-3">
            <b>Part them:</b> {way.abort}
          </p>
        </>
      )}
      {after}
      <RunEnding id={id} sheet={sheet} />
      {unseen && (
        <details className="mt-4">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            Something was seen after all
          </summary>
          <RunSights id={id} sheet={sheet} run={run} ahead={ahead} />
        </details>
      )}
    </>
  );
}

/** How it ended, and what comes of it. */
function Over({ id, sheet, run, ahead }: RunningProps) {
  return (
    <>
      <RunClock run={run} ahead={ahead} />
      <RunSights id={id} sheet={sheet} run={run} ahead={ahead} />
      {sheet.then.length > 0 && <Steps title="What comes now" steps={sheet.then} />}
      {sheet.she.stockId !== null && sheet.he.stockId !== null && run.end !== 'maleEaten' && (
        <p className="mt-3">
          <Link to={`/pairing/${sheet.she.stockId}?with=${sheet.he.stockId}`} className="act px-4">
            Put them together once more
          </Link>
        </p>
      )}
      <p className="mt-3 flex flex-wrap gap-4">
        {sheet.she.stockId !== null && (
          <>
            <Link to="/paper/labels" state={{ stockIds: [sheet.she.stockId] }} className="linkish">
              Print her label with the date
            </Link>
            <Link to={`/stock/${sheet.she.stockId}`} className="linkish">
              Did it take?
            </Link>
          </>
        )}
        <Link to="/pairing" className="linkish">
          To the pairing desk
        </Link>
      </p>
    </>
  );
}
