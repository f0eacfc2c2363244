import { memo } from 'react';
import type { RoundView, Schemas } from '../../api/client';
import { useIsPhone } from '../../ui/useMedia';

type Shelf = Schemas['RoundShelf'];

const states = ['d', 'o', 'h', 'r'] as const;

type State = (typeof states)[number];

/** Sizes of the boxes by how many there are: a few are drawn large, hundreds small, thousands as bars. */
const scales = [
  { upTo: 60, step: 17, box: 12, gap: 13 },
  { upTo: 160, step: 9, box: 7, gap: 12 },
  { upTo: 700, step: 5, box: 4, gap: 12 },
] as const;

type Scale = (typeof scales)[number];

const barWidth = 44;

/** Progress drawn as shelves of small boxes: done, here, to do, to pass by. */
export function ShelfLine({ round, place }: { round: RoundView; place: string | null }) {
  const total = round.shelves.reduce((sum, s) => sum + s.states.length, 0);
  const scale = scales.find((s) => total <= s.upTo);
  const phone = useIsPhone();
  if (total === 0) {
    return null;
  }
  const [code, slot] = place?.split('·') ?? [];
  return (
    <div
      className="mt-2.5 flex max-h-[124px] flex-wrap gap-y-1 overflow-y-auto"
      style={{ columnGap: scale?.gap ?? 10 }}
      tabIndex={phone || total > 200 ? 0 : -1}
      role="group"
      aria-label="Progress by shelf"
    >
      {round.shelves.map((shelf) => {
        return (
          <ShelfDrawing
            key={shelf.code}
            shelf={shelf}
            here={shelf.code === code ? shelf.slots.indexOf(Number(slot)) : null}
            scale={scale}
          />
        );
      })}
    </div>
  );
}

interface DrawingProps {
  shelf: Shelf;
  /** Which of its boxes the light stands at; none where it stands on another shelf. */
  here: number | null;
  scale: Scale | undefined;
}

/** One shelf. As the light walks only the shelf that it is on is drawn anew, and boxes alike are one shape. */
const ShelfDrawing = memo(function ShelfDrawing({ shelf, here, scale }: DrawingProps) {
  const width = scale === undefined ? barWidth : Math.max(26, shelf.states.length * scale.step + 3);
  return (
    <svg
      width={width}
      height="36"
      viewBox={`-3 0 ${width} 36`}
      role="img"
      aria-label={`Shelf ${shelf.code}: ${describe(shelf)}`}
    >
      {scale === undefined ? (
        <Bar shelf={shelf} />
      ) : (
        states.map((state) => {
          const at = Array.from(shelf.states).flatMap((s, k) =>
            s === state && k !== here ? [k * scale.step] : [],
          );
          return at.length > 0 && <Marks key={state} state={state} at={at} size={scale.box} />;
        })
      )}
      {scale !== undefined && here !== null && here >= 0 && (
        <rect
          x={here * scale.step - 1}
          y="0"
          width={scale.box + 2}
          height="18"
          fill="var(--lamp)"
          stroke="var(--lampmark)"
        />
      )}
      <path d={`M-3 18.5H${width - 4}`} stroke="var(--edge)" />
      <text
        x="-2"
        y="33"
        fontWeight={here !== null ? 650 : 400}
        className={here !== null ? '' : 'fill-muted!'}
      >
        {shelf.code}
      </text>
    </svg>
  );
});

/** What the boxes mean. */
export function ShelfLegend() {
  return (
    <ul className="ml-auto flex items-start gap-4 text-13 text-muted max-sm:hidden">
      <Legend state="d" text="done" />
      <Legend state="o" text="to do" />
      <Legend state="h" text="pass by" />
      <Legend state="r" text="nothing tonight" />
    </ul>
  );
}

function Legend({ state, text }: { state: State; text: string }) {
  return (
    <li className="flex items-center gap-1.5">
      <svg width="12" height="18" aria-hidden="true">
        <Marks state={state} at={[0]} size={12} />
      </svg>
      {text}
    </li>
  );
}

const countOf = (shelf: Shelf, state: State) => Array.from(shelf.states).filter((s) => s === state).length;

const describe = (shelf: Shelf) =>
  `${countOf(shelf, 'd')} done, ${countOf(shelf, 'o')} to do, ${countOf(shelf, 'h')} to pass by, ${countOf(shelf, 'r')} with nothing tonight`;

/** A whole shelf as one bar: done from the left, then to do, then to pass by. */
function Bar({ shelf }: { shelf: Shelf }) {
  const part = (state: State) => (countOf(shelf, state) / shelf.states.length) * (barWidth - 4);
  const [done, open, hushed] = [part('d'), part('o'), part('h')];
  return (
    <>
      <rect x="0" y="4" width={done} height="14" fill="var(--moss)" />
      <rect x={done} y="4.6" width={open} height="12.8" fill="none" stroke="var(--muted)" />
      <rect x={done + open} y="11" width={hushed} height="7" fill="var(--hush)" fillOpacity="0.6" />
    </>
  );
}

/** Boxes of one state, drawn as one shape. */
function Marks({ state, at, size }: { state: State; at: readonly number[]; size: number }) {
  const draw = (inset: number, y: number, height: number) =>
    at.map((x) => `M${x + inset} ${y}h${size - 2 * inset}v${height}h${2 * inset - size}z`).join('');
  switch (state) {
    case 'd':
      return <path d={draw(0, 4, 14)} fill="var(--moss)" />;
    case 'o':
      return <path d={draw(0.6, 4.6, 12.8)} fill="none" stroke="var(--muted)" strokeWidth="1.2" />;
    case 'h':
      return <path d={draw(0, 11, 7)} fill="var(--hush)" fillOpacity="0.6" />;
    case 'r':
      return (
        <path d={at.map((x) => `M${x} 17.2h${size}`).join('')} stroke="var(--muted)" strokeWidth="1.6" />
      );
  }
}
