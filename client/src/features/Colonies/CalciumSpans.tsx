import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../../api/client';
import { toDays } from '../../ui/dates';

const [width, row, left, right] = [420, 20, 118, 414];
const ahead = 120;

/** How long each source lasts from tonight: full until one in ten such pieces is gone, pale until half are. */
export function CalciumSpans({
  lines,
  see,
  tonight,
}: {
  lines: readonly Schemas['CalciumLine'][];
  see: string | null;
  tonight: string;
}) {
  if (lines.length === 0) {
    return null;
  }
  const now = toDays(tonight);
  const x = scaleLinear([0, ahead], [left, right]).clamp(true);
  const height = lines.length * row + 16;
  const words = lines
    .map((l) => `${l.name}: in ${toDays(l.earlyGone) - now} to ${toDays(l.likelyGone) - now} nights`)
    .join('; ');
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`When the calcium is used up. ${words}`}
      className="mt-1 block w-full max-w-[420px]"
    >
      {lines.map((line, k) => {
        const y = k * row + 4;
        const early = x(toDays(line.earlyGone) - now);
        const half = x(toDays(line.likelyGone) - now);
        return (
          <g key={line.sourceId}>
            <text x={left - 6} y={y + 10} textAnchor="end" className="fill-soft text-[11px]">
              {line.name}
            </text>
            <rect
              x={left}
              y={y}
              width={Math.max(2, early - left)}
              height="12"
              rx="1"
              fill={line.counts ? 'var(--moss)' : 'var(--edge)'}
            />
            <rect
              x={early}
              y={y}
              width={Math.max(0, half - early)}
              height="12"
              rx="1"
              fill={line.counts ? 'var(--moss)' : 'var(--edge)'}
              fillOpacity="0.35"
            />
            {line.isPowder && <circle cx={left + 6} cy={y + 6} r="2.4" fill="var(--bg)" />}
          </g>
        );
      })}
      {see !== null && (
        <path
          d={`M${x(toDays(see) - now)} 0V${height - 14}`}
          stroke="var(--lampmark)"
          strokeDasharray="3 3"
        />
      )}
      {[0, 30, 60, 90, 120].map((day) => (
        <text
          key={day}
          x={x(day)}
          y={height - 2}
          textAnchor={day === 0 ? 'start' : day === ahead ? 'end' : 'middle'}
          className="fill-muted text-[10px]"
        >
          {day === 0 ? 'tonight' : day === ahead ? `${day} nights` : day}
        </text>
      ))}
    </svg>
  );
}
