import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../../api/client';

const [width, rowHeight, left, right] = [520, 26, 60, 490];

/** When each stage ends: a band from 10 to 90 in 100, with the middle marked. */
export function ChainDrawing({ ends }: { ends: readonly Schemas['StageEnd'][] }) {
  const last = Math.max(...ends.map((e) => e.p90));
  const x = scaleLinear([0, last], [left, right]);
  const base = ends.length * rowHeight + 6;
  const told = ends
    .map((e) => `stage ${e.stage}: ${Math.round(e.p10)}, ${Math.round(e.p50)}, ${Math.round(e.p90)} days`)
    .join('; ');
  return (
    <svg
      viewBox={`0 0 ${width} ${base + 26}`}
      role="img"
      aria-label={`Ends with 10, 50 and 90 in 100. ${told}`}
      className="w-full max-w-[560px]"
    >
      {ends.map((e, k) => (
        <g key={e.stage} transform={`translate(0 ${k * rowHeight})`}>
          <text x={left - 8} y={17} textAnchor="end" className="fill-muted!">
            Stage {e.stage}
          </text>
          <rect
            x={x(e.p10)}
            width={Math.max(2, x(e.p90) - x(e.p10))}
            y={6}
            height={14}
            rx={3}
            fill="var(--moss)"
            fillOpacity="0.35"
          />
          <path d={`M${x(e.p50)} 4V22`} stroke="var(--lampmark)" strokeWidth="2" />
        </g>
      ))}
      <path d={`M${left} ${base}H${right}`} stroke="var(--edge)" />
      {x.ticks(6).map((day) => (
        <text key={day} x={x(day)} y={base + 18} textAnchor="middle" className="fill-muted!">
          {day === 0 ? 'now' : `${day} d`}
        </text>
      ))}
    </svg>
  );
}
