import { scaleLinear, scaleUtc } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { Schemas } from '../../api/client';
import { localClock, shortDate } from '../../ui/dates';
import { Measured } from '../../ui/Measured';
import { tenth } from './airWords';

const [left, top, base] = [44, 10, 188];
const [dampTop, dampBase, height] = [214, 276, 300];

interface AirChartProps {
  series: Schemas['AirSeries'];
  /** The one that is drawn with its band. */
  sensor: Schemas['SensorView'];
  /** Whether the others are drawn as thin lines. */
  others: boolean;
}

interface Point {
  at: number;
  min: number;
  mean: number;
  max: number;
  damp: number | null;
}

const pointsOf = (line: Schemas['SensorSeries']): Point[] =>
  line.at.map((at, i) => ({
    at: at * 1000,
    min: line.minC[i] ?? 0,
    mean: line.meanC[i] ?? 0,
    max: line.maxC[i] ?? 0,
    damp: line.humidity[i] ?? null,
  }));

/** Splits where more than two spans are missing: what was not heard is not drawn. */
function piecesOf(points: readonly Point[], minutes: number): Point[][] {
  const pieces: Point[][] = [];
  for (const point of points) {
    const last = pieces.at(-1)?.at(-1);
    if (last === undefined || point.at - last.at > Math.max(minutes, 15) * 60_000 * 2.5) {
      pieces.push([point]);
    } else {
      pieces.at(-1)?.push(point);
    }
  }
  return pieces;
}

/** Warmth with its lowest and highest, and humidity under it, over the time that was asked for. */
export function AirChart(props: AirChartProps) {
  return (
    <Measured height={height} savedAs={`air at ${props.sensor.name}`}>
      {(width) => <Drawing {...props} width={width} />}
    </Measured>
  );
}

function Drawing({ series, sensor, others, width }: AirChartProps & { width: number }) {
  const right = width - 8;
  const days = (Date.parse(series.to) - Date.parse(series.from)) / 86_400_000;
  const own = series.sensors.find((s) => s.sensorId === sensor.id);
  if (own === undefined) {
    return <p className="py-8 text-center text-muted">Nothing was heard of {sensor.name} in that time.</p>;
  }
  const points = pointsOf(own);
  const rest = others ? series.sensors.filter((s) => s.sensorId !== sensor.id).map(pointsOf) : [];
  const all = [points, ...rest].flat();
  const good = sensor.goodC;
  const x = scaleUtc([Date.parse(series.from), Date.parse(series.to)], [left, right]);
  const y = scaleLinear(
    [
      Math.min(...all.map((p) => p.min), good?.low ?? Infinity) - 0.5,
      Math.max(...all.map((p) => p.max), good?.high ?? -Infinity) + 0.5,
    ],
    [base, top],
  ).nice(5);
  const damp = scaleLinear([0, 100], [dampBase, dampTop]);
  const pieces = piecesOf(points, series.minutes);
  const band = area<Point>()
    .x((p) => x(p.at))
    .y0((p) => y(p.min))
    .y1((p) => y(p.max));
  const mean = line<Point>(
    (p) => x(p.at),
    (p) => y(p.mean),
  );
  const moist = line<Point>(
    (p) => x(p.at),
    (p) => damp(p.damp ?? 0),
  ).defined((p) => p.damp !== null);
  const low = Math.min(...points.map((p) => p.min));
  const high = Math.max(...points.map((p) => p.max));
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${sensor.name}: ${tenth(low)} to ${tenth(high)} °C`}
      width={width}
      height={height}
      className="block"
    >
      {good !== null && (
        <g>
          <rect
            x={left}
            y={y(good.high)}
            width={right - left}
            height={y(good.low) - y(good.high)}
            fill="var(--moss)"
            fillOpacity={0.14}
          />
          <text x={right - 4} y={y(good.high) + 14} textAnchor="end" className="fill-mosstext text-[11px]">
            right for all it watches
          </text>
        </g>
      )}
      {y.ticks(5).map((c) => (
        <g key={c}>
          <path d={`M${left} ${y(c)}H${right}`} stroke="var(--line)" />
          <text x={left - 6} y={y(c) + 4} textAnchor="end" className="fill-muted text-[11px]">
            {c} °C
          </text>
        </g>
      ))}
      {[0, 50, 100].map((h) => (
        <g key={h}>
          <path d={`M${left} ${damp(h)}H${right}`} stroke="var(--line)" />
          <text x={left - 6} y={damp(h) + 4} textAnchor="end" className="fill-muted text-[11px]">
            {h} %
          </text>
        </g>
      ))}
      {x.ticks(Math.max(3, width / 110)).map((at) => (
        <text
          key={at.getTime()}
          x={x(at)}
          y={height - 6}
          textAnchor={x(at) < left + 20 ? 'start' : x(at) > right - 20 ? 'end' : 'middle'}
          className="fill-muted text-[11px]"
        >
          {days > 2 ? shortDate(at.toISOString().slice(0, 10)) : localClock(at.toISOString())}
        </text>
      ))}
      {rest.map((of, i) =>
        piecesOf(of, series.minutes).map((piece) => (
          <path
            key={`${i} ${piece[0]?.at ?? 0}`}
            d={mean(piece) ?? ''}
            fill="none"
            stroke="var(--edge)"
            strokeWidth={0.8}
          />
        )),
      )}
      {pieces.map((piece) => (
        <g key={piece[0]?.at}>
          <path d={band(piece) ?? ''} fill="var(--lamp)" fillOpacity={0.35} />
          <path d={mean(piece) ?? ''} fill="none" stroke="var(--lampmark)" strokeWidth={1.8} />
          <path d={moist(piece) ?? ''} fill="none" stroke="var(--hush)" strokeWidth={1.4} />
        </g>
      ))}
    </svg>
  );
}
