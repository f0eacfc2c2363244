import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

const [width, left, right] = [520, 40, 490];

/** An estimate within its interval, beside those that are known to be there. */
export function EstimateDrawing({
  known,
  low,
  middle,
  high,
}: {
  known: number;
  low: number;
  middle: number;
  high: number;
}) {
  const x = scaleLinear([0, Math.max(high, middle, 1)], [left, right]).nice(5);
  return (
    <svg
      viewBox={`0 0 ${width} 84`}
      role="img"
      aria-label={`About ${middle.toFixed(0)}, between ${low.toFixed(0)} and ${high.toFixed(0)}; ${known} were seen`}
      className="w-full max-w-[560px]"
    >
      <rect x={x(0)} width={x(known) - x(0)} y={34} height={12} fill="var(--edge)" />
      <rect
        x={x(low)}
        width={Math.max(2, x(high) - x(low))}
        y={14}
        height={14}
        rx={3}
        fill="var(--moss)"
        fillOpacity="0.35"
      />
      <path d={`M${x(middle)} 10V32`} stroke="var(--lampmark)" strokeWidth="2" />
      <text x={x(known) + 6} y={45} className="fill-muted!">
        {known} seen
      </text>
      <path d={`M${left} 54H${right}`} stroke="var(--edge)" />
      {x.ticks(5).map((n) => (
        <text key={n} x={x(n)} y={74} textAnchor="middle" className="fill-muted!">
          {n}
        </text>
      ))}
    </svg>
  );
}

/** How fast a tub grows by how full it is: fastest when it is half full. */
export function HarvestDrawing({
  growthRate,
  capacity,
  advised,
}: {
  growthRate: number;
  capacity: number;
  advised: number;
}) {
  const most = Math.max(1e-9, (growthRate * capacity) / 4);
  const x = scaleLinear([0, capacity], [left, right]);
  const y = scaleLinear([0, most], [110, 16]);
  const curve = Array.from({ length: 41 }, (_, k): [number, number] => {
    const n = (capacity * k) / 40;
    return [x(n), y(growthRate * n * (1 - n / capacity))];
  });
  return (
    <svg
      viewBox={`0 0 ${width} 142`}
      role="img"
      aria-label={`Grows fastest at ${(capacity / 2).toFixed(0)} animals; ${(7 * advised).toFixed(1)} a week are advised`}
      className="w-full max-w-[560px]"
    >
      <path d={line()(curve) ?? ''} fill="none" stroke="var(--moss)" strokeWidth="2" />
      <path d={`M${left} ${y(advised)}H${right}`} stroke="var(--lampmark)" strokeDasharray="3 3" />
      <text x={right} y={y(advised) - 5} textAnchor="end" className="fill-text!">
        advised
      </text>
      <path d={`M${left} 110H${right}`} stroke="var(--edge)" />
      {x.ticks(5).map((n) => (
        <text key={n} x={x(n)} y={130} textAnchor="middle" className="fill-muted!">
          {n}
        </text>
      ))}
    </svg>
  );
}
