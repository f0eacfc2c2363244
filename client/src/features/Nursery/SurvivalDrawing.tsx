import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter, line } from 'd3-shape';
import { DayAxis } from '../Bench/DayAxis';

const [width, height, base, right] = [520, 190, 150, 484];

type Point = readonly [time: number, low: number, middle: number, high: number];

interface Step {
  time: number;
  survival: number;
  low95: number | null;
  high95: number | null;
}

/** A curve beside the one that is drawn. */
export interface OtherCurve {
  /** Age in days and share alive after it (0–1). */
  points: readonly (readonly [number, number])[];
  dash: string;
  colour: string;
}

interface Props {
  steps: readonly Step[];
  /** Age that half of them reach; none where more are alive. */
  median: number | null;
  until: number;
  /** What stands at day 0. */
  start?: string;
  others?: readonly OtherCurve[];
}

/** The share still alive by age, with its band; ages of deaths are steps. */
export function SurvivalDrawing({ steps, median, until, start = 'hatched', others = [] }: Props) {
  const points: Point[] = [
    [0, 1, 1, 1],
    ...steps.map((s): Point => [s.time, s.low95 ?? 0, s.survival, s.high95 ?? s.survival]),
  ];
  const end = points.at(-1) ?? [0, 1, 1, 1];
  if (until > end[0]) {
    points.push([until, end[1], end[2], end[3]]);
  }
  const x = scaleLinear([0, Math.max(until, 1)], [6, right]);
  const y = scaleLinear([0, 1], [base, 12]);
  const band = area<Point>(
    (p) => x(p[0]),
    (p) => y(p[1]),
    (p) => y(p[3]),
  ).curve(curveStepAfter);
  const middle = line<Point>(
    (p) => x(p[0]),
    (p) => y(p[2]),
  ).curve(curveStepAfter);
  const other = line<readonly [number, number]>(
    (p) => x(p[0]),
    (p) => y(p[1]),
  ).curve(curveStepAfter);
  /** As far as the drawing goes, and on to its end. */
  const within = (curve: OtherCurve) => {
    const shown = curve.points.filter(([day]) => day <= until);
    const last = shown.at(-1)?.[1] ?? 1;
    return [[0, 1] as const, ...shown, [until, last] as const];
  };
  const left = Math.round(end[2] * 100);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Share alive by age: ${left} in 100 at the end`}
      className="w-full max-w-[560px]"
    >
      <path d={band(points) ?? ''} fill="var(--moss)" fillOpacity="0.22" />
      {others.map((curve, k) => (
        <path
          key={k}
          d={other(within(curve)) ?? ''}
          fill="none"
          stroke={curve.colour}
          strokeWidth="1.3"
          strokeDasharray={curve.dash}
        />
      ))}
      <path d={middle(points) ?? ''} fill="none" stroke="var(--moss)" strokeWidth="1.8" />
      <DayAxis x={x} y={y} start={start} />
      {median !== null && (
        <path d={`M${x(median)} ${y(0.5)}V${base}`} stroke="var(--lampmark)" strokeDasharray="3 3" />
      )}
    </svg>
  );
}
