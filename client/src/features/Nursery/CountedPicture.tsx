import { type MouseEvent, useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';

type Mark = Schemas['BodyMark'];

/** A tap within this share of the picture's width of a mark strikes it. */
const near = 0.012;

interface Props {
  picture: string;
  found: Schemas['PictureCountResult'];
  /** Told how many there are after each tap, and between what they lie. */
  onCount?: (count: number, low: number, high: number) => void;
}

/** The picture with what was found in it: a tap adds one that was missed, or strikes one that is none. */
export function CountedPicture({ picture, found, onCount }: Props) {
  const [marks, setMarks] = useState<readonly Mark[]>(found.marks);
  const [unseen, setUnseen] = useState(0);
  const added = marks.filter((m) => !found.marks.includes(m)).length + Math.max(0, unseen);
  const struck = found.marks.filter((m) => !marks.includes(m)).length + Math.max(0, -unseen);
  const many = marks.length + unseen;
  // Whoever was tapped is certain; the rest is as uncertain as it was.
  const count = (next: readonly Mark[], more: number) => {
    const by = next.length + more - found.marks.length;
    const now = next.length + more;
    onCount?.(now, Math.max(0, Math.min(now, found.low + by)), Math.max(now, found.high + by));
  };
  const mark = (next: readonly Mark[]) => {
    setMarks(next);
    count(next, unseen);
  };
  const step = (by: number) => {
    setUnseen(unseen + by);
    count(marks, unseen + by);
  };
  const shape = found.height / found.width;
  const tap = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
    const away = (m: Mark) => Math.hypot(m.x - at.x, (m.y - at.y) * shape);
    const hit = marks.reduce<Mark | null>(
      (best, m) => (best === null || away(m) < away(best) ? m : best),
      null,
    );
    mark(hit !== null && away(hit) < near ? marks.filter((m) => m !== hit) : [...marks, at]);
  };
  return (
    <div>
      <p className="mb-2">
        <b className="font-display text-22 font-semibold" data-count>
          {many}
        </b>{' '}
        <span className="text-muted">
          {added + struck === 0
            ? `found; between ${found.low} and ${found.high}`
            : `of ${found.marks.length} found, ${added} added, ${struck} struck`}
        </span>
      </p>
      <div className="relative max-w-[720px]">
        <img src={picture} alt="The brood that is counted" className="block w-full" />
        <svg
          viewBox={`0 0 1000 ${Math.round(1000 * shape)}`}
          onClick={tap}
          aria-hidden="true"
          className="absolute inset-0 size-full cursor-crosshair"
        >
          {marks.map((m) => (
            <circle
              key={`${m.x} ${m.y}`}
              cx={m.x * 1000}
              cy={m.y * 1000 * shape}
              r="9"
              fill="none"
              stroke={found.marks.includes(m) ? 'var(--lampmark)' : 'var(--moss)'}
              strokeWidth="2.5"
            />
          ))}
        </svg>
      </div>
      <p className="mt-2 text-13 text-muted">Tap one that was missed, or a ring that is on none.</p>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => step(1)}>One more</Button>
        <Button disabled={many === 0} onClick={() => step(-1)}>
          One less
        </Button>
      </div>
    </div>
  );
}
