import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter, line } from 'd3-shape';
import type { Schemas } from '../../api/client';
import { DayAxis } from './DayAxis';

const [width, height, base, right] = [520, 190, 150, 484];

type Point = readonly [time: number, low: number, middle: number, high: number];

/** The share still alive by age, with its band; ages of deaths are steps. */
export function SurvivalDrawing({ result, until }: { result: Schemas['SurvivalResult']; until: number }) {
  const points: Point[] = [
    [0, 1, 1, 1],
    ...result.steps.map((s): Point => [s.time, s.low95 ?? 0, s.survival, s.high95 ?? s.survival]),
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
  const left = Math.round(end[2] * 100);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Share alive by age: ${left} in 100 at the end`}
      className="w-full max-w-[560px]"
    >
      <path d={band(points) ?? ''} fill="var(--moss)" fillOpacity="0.22" />
      <path d={middle(points) ?? ''} fill="none" stroke="var(--moss)" strokeWidth="1.8" />
      <DayAxis x={x} y={y} start="hatched" />
      {result.median !== null && (
        <path d={`M${x(result.median)} ${y(0.5)}V${base}`} stroke="var(--lampmark)" strokeDasharray="3 3" />
      )}
    </svg>
  );
}
