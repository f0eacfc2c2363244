import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { Schemas } from '../../api/client';
import { fromDays, shortDate, toDays } from '../../ui/dates';

const [width, height, left, right, base] = [300, 110, 34, 294, 88];

/** Workers counted, and how many there will be: the line for half of such colonies, the band for eight in ten. */
export function GrowthDrawing({ growth, tonight }: { growth: Schemas['ColonyGrowth']; tonight: string }) {
  const ahead = growth.ahead.map((g) => ({ day: toDays(g.night), ...g }));
  const counts = growth.counts.map((c) => ({ day: toDays(c.night), ...c }));
  const first = Math.min(...counts.map((c) => c.day));
  const last = Math.max(...ahead.map((a) => a.day));
  const most = Math.max(...ahead.map((a) => a.p90), ...counts.map((c) => c.most ?? c.workers));
  const x = scaleLinear([first, last], [left, right]);
  const y = scaleLinear([0, most], [base, 6]).nice(3);
  const band = area<(typeof ahead)[number]>(
    (a) => x(a.day),
    (a) => y(a.p10),
    (a) => y(a.p90),
  );
  const middle = line<(typeof ahead)[number]>(
    (a) => x(a.day),
    (a) => y(a.p50),
  );
  const now = toDays(tonight);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Workers: ${growth.counts.map((c) => `${c.workers} on ${shortDate(c.night, tonight)}`).join(', ')}`}
      className="mt-1 block w-full max-w-[340px]"
    >
      {y.ticks(3).map((n) => (
        <g key={n}>
          <path d={`M${left} ${y(n)}H${right}`} stroke="var(--line)" />
          <text x={left - 5} y={y(n) + 4} textAnchor="end" className="fill-muted text-[10px]">
            {n}
          </text>
        </g>
      ))}
      <path d={band(ahead) ?? ''} fill="var(--moss)" fillOpacity={0.3} />
      <path d={middle(ahead) ?? ''} fill="none" stroke="var(--moss)" strokeWidth={2} />
      <path d={`M${x(now)} 4V${base}`} stroke="var(--lampmark)" strokeDasharray="3 3" />
      {counts.map((c) => (
        <circle key={c.night} cx={x(c.day)} cy={y(c.workers)} r={4} fill="var(--ink)" />
      ))}
      {x.ticks(3).map((day) => (
        <text
          key={day}
          x={x(day)}
          y={height - 6}
          textAnchor={x(day) > right - 30 ? 'end' : x(day) < left + 30 ? 'start' : 'middle'}
          className="fill-muted text-[10px]"
        >
          {day === now ? 'tonight' : shortDate(fromDays(day), tonight)}
        </text>
      ))}
    </svg>
  );
}
