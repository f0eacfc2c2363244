import type { RoundView, Schemas } from '../../api/client';
import { useIsPhone } from '../../ui/useMedia';

type State = 'd' | 'o' | 'h' | 'r';

/** Sizes of the boxes by how many there are: a few are drawn large, hundreds small, thousands as bars. */
const scales = [
  { upTo: 60, step: 17, box: 12, gap: 13 },
  { upTo: 160, step: 9, box: 7, gap: 12 },
  { upTo: 700, step: 5, box: 4, gap: 12 },
] as const;

const barWidth = 44;

/** Progress drawn as shelves of small boxes: done, here, to do, to pass by. */
export function ShelfLine({ round, place }: { round: RoundView; place: string | null }) {
  const total = round.shelves.reduce((sum, s) => sum + s.states.length, 0);
  const scale = scales.find((s) => total <= s.upTo);
  const phone = useIsPhone();
  if (total === 0) {
    return null;
  }
  const here = place?.split('·') ?? [];
  return (
    <div
      className="mt-2.5 flex max-h-[124px] flex-wrap gap-y-1 overflow-y-auto"
      style={{ columnGap: scale?.gap ?? 10 }}
      tabIndex={phone || total > 200 ? 0 : -1}
      role="group"
      aria-label="Progress by shelf"
    >
      {round.shelves.map((shelf) => {
        const current = shelf.code === here[0];
        const width = scale === undefined ? barWidth : Math.max(26, shelf.states.length * scale.step + 3);
        return (
          <svg
            key={shelf.code}
            width={width}
            height="36"
            viewBox={`-3 0 ${width} 36`}
            role="img"
            aria-label={`Shelf ${shelf.code}: ${describe(shelf)}`}
          >
            {scale === undefined ? (
              <Bar shelf={shelf} />
            ) : (
              Array.from(shelf.states).map((state, k) => (
                <Mark
                  key={k}
                  state={state as State}
                  x={k * scale.step}
                  size={scale.box}
                  here={current && shelf.slots[k] === Number(here[1])}
                />
              ))
            )}
            <path d={`M-3 18.5H${width - 4}`} stroke="var(--edge)" />
            <text x="-2" y="33" fontWeight={current ? 650 : 400} className={current ? '' : 'fill-muted!'}>
              {shelf.code}
            </text>
          </svg>
        );
      })}
    </div>
  );
}

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
        <Mark state={state} x={0} size={12} here={false} />
      </svg>
      {text}
    </li>
  );
}

const countOf = (shelf: Schemas['RoundShelf'], state: State) =>
  Array.from(shelf.states).filter((s) => s === state).length;

const describe = (shelf: Schemas['RoundShelf']) =>
  `${countOf(shelf, 'd')} done, ${countOf(shelf, 'o')} to do, ${countOf(shelf, 'h')} to pass by, ${countOf(shelf, 'r')} with nothing tonight`;

/** A whole shelf as one bar: done from the left, then to do, then to pass by. */
function Bar({ shelf }: { shelf: Schemas['RoundShelf'] }) {
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

function Mark({ state, x, size, here }: { state: State; x: number; size: number; here: boolean }) {
  if (here) {
    return <rect x={x - 1} y="0" width={size + 2} height="18" fill="var(--lamp)" stroke="var(--lampmark)" />;
  }
  switch (state) {
    case 'd':
      return <rect x={x} y="4" width={size} height="14" fill="var(--moss)" />;
    case 'o':
      return (
        <rect
          x={x + 0.6}
          y="4.6"
          width={size - 1.2}
          height="12.8"
          fill="none"
          stroke="var(--muted)"
          strokeWidth="1.2"
        />
      );
    case 'h':
      return <rect x={x} y="11" width={size} height="7" fill="var(--hush)" fillOpacity="0.6" />;
    case 'r':
      return <path d={`M${x} 17.2h${size}`} stroke="var(--muted)" strokeWidth="1.6" />;
  }
}
