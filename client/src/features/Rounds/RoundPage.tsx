import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { RoundLine, RoundView } from '../../api/client';
import { useRound } from '../../api/queries';
import { longDate } from '../../ui/dates';
import { useKeys } from '../../ui/useKeys';
import { Waiting } from '../../ui/Waiting';
import { useWhy, type Why } from '../Reasons/WhyContext';
import { DoneRow, DueRow, PassByFold, RestingFold } from './RoundRows';
import { byShelf, leftoversFirst } from './shelves';
import { ShelfLine } from './ShelfLine';

/** Tonight's round in walking order. */
export function RoundPage() {
  return (
    <Waiting query={useRound()} what="Tonight’s round">
      {(round) => <Round round={round} />}
    </Waiting>
  );
}

function Round({ round }: { round: RoundView }) {
  const due = round.lines.filter((line) => line.state === 'due');
  const [chosen, setChosen] = useState<string | null>(null);
  // After an act the same enclosure stays chosen while it needs more; else the walk goes on from where it was.
  const [position, setPosition] = useState(0);
  const found = due.findIndex((line) => line.stockId === chosen);
  const at = found >= 0 ? found : Math.min(position, Math.max(0, due.length - 1));
  const selected = due[at];
  const navigate = useNavigate();
  const { toggle } = useWhy();

  const select = (index: number) => {
    const line = due[Math.max(0, Math.min(due.length - 1, index))];
    if (line !== undefined) {
      setChosen(line.stockId);
      setPosition(due.indexOf(line));
      document.getElementById(`line-${line.stockId}`)?.scrollIntoView({ block: 'nearest' });
    }
  };
  const move = (step: number) => () => select(at + step);
  useKeys({
    j: move(1),
    ArrowDown: move(1),
    k: move(-1),
    ArrowUp: move(-1),
    Enter: () => selected && void navigate(`/stock/${selected.stockId}`),
    '?': () => selected && toggle(whyOf(selected)),
  });

  const { done, total } = round.progress;
  const minutes = Math.ceil(round.progress.secondsLeft / 60);
  return (
    <>
      <header className="px-6 pt-4 pb-3 max-sm:px-4 max-sm:pt-3">
        <div className="flex flex-wrap items-end justify-between gap-x-6">
          <div>
            <h1 className="text-30 max-sm:text-[24px]">Tonight’s round</h1>
            <p className="text-muted max-sm:hidden">
              {longDate(round.night)}, {round.roomName}
            </p>
          </div>
          <p className="text-right max-sm:text-left">
            <b className="font-display text-22 font-semibold max-sm:text-15">
              {done} of {total} done
            </b>
            <span className="block text-muted max-sm:inline max-sm:pl-2">
              {total > done ? `about ${minutes} min left` : 'nothing more needs a hand'}
            </span>
          </p>
        </div>
        <ShelfLine round={round} selected={selected?.stockId ?? null} />
      </header>
      <div className="border-t border-line">
        {total === 0 && round.lines.length === 0 && round.resting.length === 0 && <EmptyRoom />}
        {byShelf(round).map((shelf) => (
          <section
            key={shelf.code}
            aria-label={shelf.code === leftoversFirst ? 'Leftovers, out first' : `Shelf ${shelf.code}`}
            className="grid grid-cols-[56px_minmax(0,1fr)] border-b border-line max-sm:grid-cols-1"
          >
            <h2
              className={`pl-6 font-medium max-sm:pt-2 max-sm:pb-0.5 max-sm:pl-4 ${shelf.code === leftoversFirst ? 'pt-3 text-13 text-lamptext' : 'pt-2 text-22 max-sm:text-18'}`}
            >
              {shelf.code}
            </h2>
            <div className="min-w-0 divide-y divide-line">
              {shelf.rows.map((row) =>
                row.kind === 'done' ? (
                  <DoneRow key={row.done.stockId} done={row.done} />
                ) : (
                  <DueRow
                    key={row.line.stockId}
                    line={row.line}
                    selected={row.line.stockId === selected?.stockId}
                    onSelect={() => select(due.indexOf(row.line))}
                  />
                ),
              )}
              {shelf.passBy.length > 0 && <PassByFold lines={shelf.passBy} />}
              {shelf.resting.length > 0 && <RestingFold lines={shelf.resting} />}
            </div>
          </section>
        ))}
      </div>
    </>
  );
}

/** Why a line says what it says, for the drawer. */
export const whyOf = (line: RoundLine): Why => ({
  title: line.state === 'due' ? `Why ${question(line.do)}?` : `Why pass ${line.name} by?`,
  animal: { stockId: line.stockId, place: line.place, name: line.name, species: line.species },
  summary: line.why.summary,
  reasons: line.why.reasons,
  molt: line.molt,
});

/** "Offer 1 small cricket, ≤ 9 mm" asked back: "offer 1 small cricket". */
function question(text: string): string {
  const short = text.split(/[,:]/)[0] ?? text;
  return short.charAt(0).toLowerCase() + short.slice(1);
}

function EmptyRoom() {
  const navigate = useNavigate();
  return (
    <div className="mx-auto max-w-md px-6 py-16 text-center">
      <p className="font-display text-22">No enclosure stands here yet.</p>
      <p className="mt-2 mb-5 text-muted">Add the first animal; the round is made from what you log.</p>
      <button type="button" className="act act-first px-5" onClick={() => void navigate('/stock/new')}>
        Add an animal
      </button>
    </div>
  );
}
