import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

const [width, height] = [96, 26];

/** The last 24 hours as a thin line; a gap is a gap. */
export function Sparkline({ hours }: { hours: readonly (number | null)[] }) {
  const known = hours.filter((h) => h !== null);
  if (known.length < 2) {
    return <span className="text-13 text-muted">no line yet</span>;
  }
  const low = Math.min(...known);
  const high = Math.max(...known);
  const x = scaleLinear([0, hours.length - 1], [1, width - 1]);
  // A degree is the least that fills the height: a still line is no mountain range.
  const y = scaleLinear(
    [Math.min(low, (low + high - 1) / 2), Math.max(high, (low + high + 1) / 2)],
    [height - 3, 3],
  );
  const path = line<number | null>(
    (_, i) => x(i),
    (h) => y(h ?? 0),
  ).defined((h) => h !== null);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block h-[26px] w-24"
      role="img"
      aria-label={`Last 24 hours: ${low.toFixed(1)} to ${high.toFixed(1)} °C`}
    >
      <path d={path(hours) ?? ''} fill="none" stroke="var(--lampmark)" strokeWidth={1.6} />
    </svg>
  );
}
