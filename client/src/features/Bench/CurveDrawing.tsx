import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { DayAxis } from './DayAxis';

const [width, height, base, right] = [520, 170, 140, 484];

interface Props {
  /** Day and chance (0–1), the days rising. */
  points: readonly (readonly [number, number])[];
  /** A day to be marked. */
  mark: number | null;
  label: string;
}

/** A chance by day. */
export function CurveDrawing({ points, mark, label }: Props) {
  const last = points.at(-1)?.[0] ?? 1;
  const x = scaleLinear([0, last], [6, right]);
  const y = scaleLinear([0, 1], [base, 12]);
  const [at, up] = [(p: readonly [number, number]) => x(p[0]), (p: readonly [number, number]) => y(p[1])];
  return (
    <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label} className="w-full max-w-[560px]">
      <path
        d={area<readonly [number, number]>(at, base, up)(points) ?? ''}
        fill="var(--moss)"
        fillOpacity="0.28"
      />
      <path
        d={line<readonly [number, number]>(at, up)(points) ?? ''}
        fill="none"
        stroke="var(--moss)"
        strokeWidth="1.8"
      />
      <DayAxis x={x} y={y} start="now" />
      {mark !== null && <path d={`M${x(mark)} 12V${base}`} stroke="var(--lampmark)" strokeDasharray="3 3" />}
    </svg>
  );
}
