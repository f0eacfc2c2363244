import type { RoundView } from '../../api/client';
import { comparePlaces, shelfOf } from './shelves';

type Box = { place: string; id: string; state: 'done' | 'due' | 'passBy' | 'resting' };

const step = 17;
const gap = 13;

/** Progress drawn as shelves of small boxes: done, here, to do, to pass by. */
export function ShelfLine({ round, selected }: { round: RoundView; selected: string | null }) {
  const doneIds = new Set(round.done.map((d) => d.stockId));
  const boxes: Box[] = [
    ...round.done.map((d): Box => ({ place: d.place, id: d.stockId, state: 'done' })),
    ...round.lines
      .filter((l) => !doneIds.has(l.stockId))
      .map((l): Box => ({ place: l.place, id: l.stockId, state: l.state === 'due' ? 'due' : 'passBy' })),
    ...round.resting.map((r): Box => ({ place: r.place, id: r.stockId, state: 'resting' })),
  ].sort((a, b) => comparePlaces(a.place, b.place));
  const shelves = Map.groupBy(boxes, (box) => shelfOf(box.place));
  if (boxes.length === 0) {
    return null;
  }
  return (
    <div className="mt-2.5 flex flex-wrap gap-y-1" style={{ columnGap: gap }}>
      {[...shelves].map(([code, row]) => {
        const current = row.some((box) => box.id === selected);
        const width = row.length * step + 3;
        return (
          <svg
            key={code}
            width={width}
            height="36"
            viewBox={`-3 0 ${width} 36`}
            role="img"
            aria-label={`Shelf ${code}: ${describe(row)}`}
          >
            {row.map((box, k) => (
              <Mark key={box.id} box={box} x={k * step} here={box.id === selected} />
            ))}
            <path d={`M-3 18.5H${width - 4}`} stroke="var(--edge)" />
            <text x="-2" y="33" fontWeight={current ? 650 : 400} className={current ? '' : 'fill-muted!'}>
              {code}
            </text>
          </svg>
        );
      })}
      <ul className="ml-auto flex items-start gap-4 pt-1 text-13 text-muted max-sm:hidden">
        <Legend state="done" text="done" />
        <Legend state="due" text="to do" />
        <Legend state="passBy" text="pass by" />
        <Legend state="resting" text="nothing tonight" />
      </ul>
    </div>
  );
}

function Legend({ state, text }: { state: Box['state']; text: string }) {
  return (
    <li className="flex items-center gap-1.5">
      <svg width="12" height="18" aria-hidden="true">
        <Mark box={{ place: '', id: '', state }} x={0} here={false} />
      </svg>
      {text}
    </li>
  );
}

function describe(row: Box[]): string {
  const count = (state: Box['state']) => row.filter((box) => box.state === state).length;
  return `${count('done')} done, ${count('due')} to do, ${count('passBy')} to pass by, ${count('resting')} with nothing tonight`;
}

function Mark({ box, x, here }: { box: Box; x: number; here: boolean }) {
  if (here) {
    return <rect x={x - 1} y="0" width="14" height="18" fill="var(--lamp)" stroke="var(--lampmark)" />;
  }
  switch (box.state) {
    case 'done':
      return <rect x={x} y="4" width="12" height="14" fill="var(--moss)" />;
    case 'due':
      return (
        <rect
          x={x + 0.6}
          y="4.6"
          width="10.8"
          height="12.8"
          fill="none"
          stroke="var(--muted)"
          strokeWidth="1.2"
        />
      );
    case 'passBy':
      return <rect x={x} y="11" width="12" height="7" fill="var(--hush)" fillOpacity="0.6" />;
    case 'resting':
      return <path d={`M${x} 17.2h12`} stroke="var(--muted)" strokeWidth="1.6" />;
  }
}
