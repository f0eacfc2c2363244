import type { Figure } from './figure';
import type { Tone } from './marks';

const paint: Record<Tone, string> = { ink: 'var(--ink)', paper: 'var(--bg)', soft: 'var(--muted)' };

/** The marks of a drawing, in its own units. */
export function FigureMarks({ figure }: { figure: Figure }) {
  return figure.marks.map((mark, k) => (
    <path
      key={k}
      d={mark.d}
      fill={mark.fill === undefined ? 'none' : paint[mark.fill]}
      stroke={mark.line === undefined ? 'none' : paint[mark.tone ?? 'paper']}
      strokeWidth={mark.line ?? 0}
      strokeLinecap="round"
      strokeLinejoin="round"
      opacity={mark.opacity ?? 1}
    />
  ));
}

/** An animal by itself; what it shows stands in words beside it. */
export function AnimalFigure({ figure, className }: { figure: Figure; className: string }) {
  const [left, top, right, bottom] = figure.box;
  return (
    <svg viewBox={`${left} ${top} ${right - left} ${bottom - top}`} aria-hidden="true" className={className}>
      <FigureMarks figure={figure} />
    </svg>
  );
}
