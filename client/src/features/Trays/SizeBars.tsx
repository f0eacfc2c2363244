import type { Schemas } from '../../api/client';
import { shortDate } from '../../ui/dates';
import { gradeMarks } from './grades';

const order: readonly Schemas['SizeGrade'][] = ['runt', 'slow', 'middling', 'fast'];

/** Lengths fall into so many classes. */
const classes = 6;

/** Fewer lengths than this make no picture; grades do. */
const leastLengths = 5;

interface Bar {
  label: string;
  count: number;
}

function byLength(lengths: readonly number[]): Bar[] {
  const [least, most] = [Math.min(...lengths), Math.max(...lengths)];
  const step = Math.max(0.5, Math.ceil(((most - least) / classes) * 2) / 2);
  const first = Math.floor(least / step) * step;
  const many = Math.floor((most - first) / step) + 1;
  return Array.from({ length: many }, (_, k) => {
    const from = first + k * step;
    return {
      label: `${from}–${from + step} mm`,
      count: lengths.filter((l) => l >= from && l < from + step).length,
    };
  });
}

/** How many of which size there were at the last grading. */
export function SizeBars({ brood, tonight }: { brood: Schemas['BroodView']; tonight: string }) {
  if (brood.gradedOn === null) {
    return (
      <p className="max-w-[26ch] text-13 text-muted">
        Not graded yet: once a month name the fast, the slow and the runts, so that like lives with like.
      </p>
    );
  }
  const lengths = brood.vials.flatMap((v) => v.lengthMm ?? []);
  const bars =
    lengths.length >= leastLengths
      ? byLength(lengths)
      : order.map((grade) => ({
          label: gradeMarks[grade].word,
          count: brood.vials.filter((v) => v.grade === grade).length,
        }));
  const most = Math.max(1, ...bars.map((b) => b.count));
  return (
    <figure className="w-56 max-lg:w-full">
      <figcaption className="text-13 text-muted">
        Graded {shortDate(brood.gradedOn, tonight)}
        {lengths.length >= leastLengths ? `, ${lengths.length} measured` : ''}
      </figcaption>
      <dl className="mt-1 text-13">
        {bars.map((bar) => (
          <div key={bar.label} className="grid grid-cols-[5.5rem_1fr_2rem] items-center gap-2 py-0.5">
            <dt>{bar.label}</dt>
            <dd className="m-0 h-2.5 bg-hushpale" aria-hidden="true">
              <div className="h-full bg-moss" style={{ width: `${(bar.count / most) * 100}%` }} />
            </dd>
            <dd className="m-0 text-right tabular-nums">{bar.count}</dd>
          </div>
        ))}
      </dl>
    </figure>
  );
}
