import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { lazy, Suspense, useEffect, useEffectEvent, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { RoundLine, RoundView, Schemas } from '../../api/client';
import { useLarderWork } from '../Larder/queries';
import { useMayWrite } from '../../ui/mayWrite';
import { Writes } from '../../ui/Writes';
import { useSettings } from '../Rooms/queries';
import { useRound } from './queries';
import { useOutbox } from '../../api/writing';
import { clockTime, longDate } from '../../ui/dates';
import { useCommands } from '../../commands/useCommands';
import { useWakeLock } from '../../ui/useWakeLock';
import { WhyButton } from '../../ui/WhyButton';
import { aside } from '../../ui/aside';
import { Opening } from '../../ui/Trouble';
import { Waiting } from '../../ui/Waiting';
import { useWhy } from '../Reasons/WhyContext';
import { DoneRow, PassByFold, RestingFold, WaitingRow } from './QuietRows';
import { DueRow, lineId } from './RoundRows';
import { canBatch } from './together';
import { ShelfLegend, ShelfLine } from './ShelfLine';
import { byShelf, laterTonight, leftoversFirst, type Shelf } from './shelves';
import { ActingContext } from './Acting';
import { useGrowsAbove, useHeld, useLight } from './useLight';
import { warmForms } from '../Journal/ActDialogFor';
import { useDone } from '../Journal/DoneContext';

// Only on one night, or at the end of it: the round is told without them.
const EmptyRoom = aside(async () => (await import('./EmptyRoom')).EmptyRoom);
const FirstEvening = aside(async () => (await import('./FirstEvening')).FirstEvening);
const AlarmStrip = aside(async () => (await import('../Climate/AlarmStrip')).AlarmStrip);
const WaterAsked = aside(async () => (await import('./WaterAsked')).WaterAsked);
const RoundChores = aside(async () => (await import('./RoundChores')).RoundChores);
const KitSheet = lazy(async () => ({ default: (await import('./KitSheet')).KitSheet }));
const ShelfBatch = lazy(async () => ({ default: (await import('./ShelfBatch')).ShelfBatch }));
const SumUp = lazy(async () => ({ default: (await import('./SumUp')).SumUp }));

/** Tonight's round in walking order. */
export function RoundPage() {
  return (
    <Waiting query={useRound()} what="Tonight’s round">
      {(round) => <Round round={round} />}
    </Waiting>
  );
}

/** What was done here and is not answered, by animal; none while the server is in reach. */
function useWaitingActs(): ReadonlyMap<string, string> {
  const { items, silentSince, signIn } = useOutbox();
  return silentSince === null && !signIn
    ? new Map()
    : new Map(
        items
          .filter((item) => item.setAside === null)
          .flatMap((item) => item.about.map((stockId) => [stockId, item.text] as const)),
      );
}

type Sheet = { kind: 'kit' } | { kind: 'sum' } | { kind: 'batch'; shelf: string };

/** Says who did it when the line in the light is done from elsewhere. */
function useToldWhoDid(round: RoundView, lit: RoundLine | undefined) {
  const { tell, isOwn } = useDone();
  const before = useRef(lit);
  const look = useEffectEvent(() => {
    const was = before.current;
    before.current = lit;
    const done = round.done.find((d) => d.stockId === was?.stockId);
    if (was !== undefined && was.stockId !== lit?.stockId && done !== undefined && !isOwn(done.entryId)) {
      tell(`${done.place} ${done.name}: done by ${done.by}`);
    }
  });
  useEffect(() => look(), [round]);
}

function Round({ round: newest }: { round: RoundView }) {
  const [round, hold] = useHeld(newest);
  const waiting = useWaitingActs();
  const shelves = byShelf(round, waiting);
  const due = shelves.flatMap((s) => s.rows.flatMap((row) => (row.kind === 'due' ? [row.line] : [])));
  const mayWrite = useMayWrite();
  const [sheet, setSheet] = useState<Sheet | null>(null);
  const { at, selected, select, settled, settling, acted } = useLight(round, due);
  const above = useGrowsAbove(selected?.stockId);
  useToldWhoDid(round, selected);
  const navigate = useNavigate();
  const larder = useLarderWork(round.night).data ?? [];

  const move = (step: number) => () => select(at + step, true);
  useCommands(
    [
      { id: 'round.next', run: move(1) },
      { id: 'round.former', run: move(-1) },
      { id: 'round.open', run: () => selected && void navigate(`/stock/${selected.stockId}`) },
      { id: 'round.kit', run: () => setSheet({ kind: 'kit' }) },
      {
        id: 'round.shelf',
        run: () =>
          mayWrite &&
          batchOf(selected, shelves) &&
          setSheet({ kind: 'batch', shelf: batchOf(selected, shelves) ?? '' }),
      },
    ],
    '[data-line]',
  );
  useWakeLock(due.length > 0);
  useEffect(() => void warmForms(), []);

  /** Whatever is pressed in a line that is not lit brings the light there. */
  const pressed = (event: React.MouseEvent) => {
    const line = event.target instanceof Element ? event.target.closest('[data-line]') : null;
    if (line !== null && line.getAttribute('aria-current') !== 'true') {
      select(
        due.findIndex((d) => line.id === lineId(d.stockId)),
        false,
      );
    }
  };
  const batch = sheet?.kind === 'batch' ? shelves.find((s) => s.code === sheet.shelf) : undefined;
  return (
    <ActingContext value={{ settled, settling, acted, hold }}>
      <RoundHead round={round} waiting={waiting.size} larder={larder} selected={selected} open={setSheet} />
      <div ref={above}>
        <Suspense>
          <AlarmStrip />
        </Suspense>
      </div>
      {round.firstEvening !== null && (
        <Suspense>
          <FirstEvening first={round.firstEvening} progress={round.progress} />
        </Suspense>
      )}
      {round.waterUnknown.length > 0 && (
        <Suspense>
          <Writes>
            <WaterAsked unknown={round.waterUnknown} night={round.night} />
          </Writes>
        </Suspense>
      )}
      <div className="border-t border-line" onClick={pressed}>
        {round.progress.total === 0 &&
          round.lines.length === 0 &&
          round.progress.resting === 0 &&
          round.chores.length === 0 && (
            <Suspense>
              <EmptyRoom />
            </Suspense>
          )}
        {shelves.map((shelf) => (
          <ShelfSection
            key={shelf.code}
            shelf={shelf}
            selected={selected}
            onBatch={() => setSheet({ kind: 'batch', shelf: shelf.code })}
          />
        ))}
        {round.chores.length + larder.length > 0 && (
          <Suspense>
            <RoundChores chores={round.chores} larder={larder} night={round.night} />
          </Suspense>
        )}
      </div>
      {sheet?.kind === 'kit' && (
        <Opening onClose={() => setSheet(null)}>
          <KitSheet round={round} onClose={() => setSheet(null)} />
        </Opening>
      )}
      {sheet?.kind === 'sum' && (
        <Opening onClose={() => setSheet(null)}>
          <SumUp night={round.night} onClose={() => setSheet(null)} />
        </Opening>
      )}
      {batch !== undefined && (
        <Opening onClose={() => setSheet(null)}>
          <ShelfBatch shelf={batch.code} lines={dueOf(batch)} onClose={() => setSheet(null)} />
        </Opening>
      )}
    </ActingContext>
  );
}

const dueOf = (shelf: Shelf): RoundLine[] =>
  shelf.rows.flatMap((row) => (row.kind === 'due' ? [row.line] : []));

/** The shelf of the chosen line, if several of its lines can be logged in one go. */
function batchOf(selected: RoundLine | undefined, shelves: readonly Shelf[]): string | null {
  const shelf = shelves.find((s) => selected !== undefined && dueOf(s).includes(selected));
  return shelf !== undefined && canBatch(dueOf(shelf)) ? shelf.code : null;
}

interface HeadProps {
  round: RoundView;
  /** How many are done and wait for the server. */
  waiting: number;
  larder: readonly Schemas['LarderWork'][];
  selected: RoundLine | undefined;
  open: (sheet: Sheet) => void;
}

function RoundHead({ round, waiting, larder, selected, open }: HeadProps) {
  const { toggle } = useWhy();
  const { done, total } = round.progress;
  const minutes = Math.ceil(round.progress.secondsLeft / 60);
  const chores =
    round.chores.reduce((sum, c) => sum + (c.doneTonight ? 0 : c.chore.plan.minutes), 0) +
    Math.ceil(larder.reduce((sum, work) => sum + work.minutes, 0));
  const why = () =>
    toggle({
      title: 'Why this long?',
      animal: null,
      summary: `About ${minutes} min for what is still to do, by how long such acts take here.`,
      reasons: round.pace,
    });
  return (
    <header className="px-6 pt-4 pb-3 max-sm:px-4 max-sm:pt-3">
      <div className="flex flex-wrap items-end justify-between gap-x-6">
        <div>
          <PageTitle>Round</PageTitle>
          <h1 className="page-title">Tonight’s round</h1>
          <p className="text-muted max-sm:hidden">
            {longDate(round.night)}, {round.roomName}
          </p>
        </div>
        <p className="text-right max-sm:text-left">
          <b className="font-display text-22 font-semibold max-sm:text-15">
            {done} of {total} done
            {waiting > 0 && <span className="text-lamptext">, {waiting} waiting</span>}
          </b>
          <span className="block text-muted max-sm:inline max-sm:pl-2">
            {total > done ? (
              <>
                about {minutes} min left
                {chores > 0 && (
                  <>
                    , and <ChoresLink>{chores} min of chores</ChoresLink>
                  </>
                )}{' '}
                {round.pace.length > 0 && <WhyButton of="this long" onClick={why} />}
              </>
            ) : (
              <>
                nothing more needs a hand
                {chores > 0 && (
                  <>
                    , <ChoresLink>{chores} min of chores left</ChoresLink>
                  </>
                )}
              </>
            )}
          </span>
        </p>
      </div>
      <ShelfLine round={round} place={selected?.place ?? null} />
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-13">
        <Button kind="link" onClick={() => open({ kind: 'kit' })}>
          Have ready
        </Button>
        <Button kind="link" onClick={() => open({ kind: 'sum' })}>
          Sum up
        </Button>
        <Link to="/paper/round" className="linkish flex min-h-8 items-center max-sm:hidden">
          On paper
        </Link>
        {round.left !== null && (
          <p className="border-l-2 border-lampmark pl-2 text-soft">
            Left off at {clockTime(round.left.at)} after <span className="code">{round.left.place}</span>{' '}
            {round.left.name}: the light stands where it goes on.
          </p>
        )}
        <ShelfLegend />
      </div>
    </header>
  );
}

/** Leads to the chores at the end of the round. */
function ChoresLink({ children }: { children: React.ReactNode }) {
  return (
    <Button
      kind="link"
      onClick={() => {
        const chores = document.getElementById('chores');
        chores?.scrollIntoView({ block: 'start' });
        chores?.querySelector('button')?.focus({ preventScroll: true });
      }}
    >
      {children}
    </Button>
  );
}

interface SectionProps {
  shelf: Shelf;
  selected: RoundLine | undefined;
  onBatch: () => void;
}

function ShelfSection({ shelf, selected, onBatch }: SectionProps) {
  const mayWrite = useMayWrite();
  const keeper = useSettings().data?.settings.keeperName ?? null;
  const out = shelf.code === leftoversFirst || shelf.code === laterTonight;
  return (
    <section
      aria-label={
        shelf.code === leftoversFirst
          ? 'Leftovers, out first'
          : shelf.code === laterTonight
            ? 'Later tonight'
            : `Shelf ${shelf.code}`
      }
      className="grid grid-cols-[56px_minmax(0,1fr)] border-b border-line max-sm:grid-cols-1"
    >
      <div className="pl-6 max-sm:flex max-sm:items-baseline max-sm:gap-3 max-sm:px-4 max-sm:pt-2">
        <h2
          className={`font-medium max-sm:pb-0.5 ${out ? 'pt-3 text-13 text-lamptext max-sm:pt-0' : `pt-2 max-sm:pt-0 max-sm:text-18 ${shelf.code.length > 2 ? 'text-18' : 'text-22'}`}`}
        >
          {shelf.code}
        </h2>
        {canBatch(dueOf(shelf)) && !out && (
          <Button writes kind="link" className="text-12 text-lamptext max-sm:text-13" onClick={onBatch}>
            all<span className="sr-only"> of {shelf.code}</span>
          </Button>
        )}
      </div>
      <div className="min-w-0 divide-y divide-line">
        {(shelf.quarantine || shelf.note !== '') && (
          <p className="py-1 pr-6 pl-[46px] text-13 text-muted max-sm:px-4">
            {[shelf.quarantine ? 'New stock: last, with tools of its own' : '', shelf.note]
              .filter((part) => part !== '')
              .join(' · ')}
          </p>
        )}
        {shelf.rows.map((row) =>
          row.kind === 'done' ? (
            <DoneRow key={row.done.stockId} done={row.done} keeper={keeper} />
          ) : row.kind === 'waiting' ? (
            <WaitingRow key={row.line.stockId} line={row.line} text={row.text} />
          ) : (
            <DueRow
              key={row.line.stockId}
              line={row.line}
              mayWrite={mayWrite}
              selected={row.line.stockId === selected?.stockId}
            />
          ),
        )}
        {shelf.passBy.length > 0 && <PassByFold lines={shelf.passBy} />}
        {shelf.resting > 0 && <RestingFold shelf={shelf.code} count={shelf.resting} />}
      </div>
    </section>
  );
}
