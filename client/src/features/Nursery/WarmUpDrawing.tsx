import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../../api/client';
import { fromDays, shortDate, toDays } from '../../ui/dates';

const [width, row, left, right] = [560, 22, 96, 548];

interface Props {
  pupae: readonly Schemas['WarmUpPupa'][];
  tonight: string;
}

/** Each pupa as a line: taken out of the cold, the nights on which it emerges, and how long it usually lives. */
export function WarmUpDrawing({ pupae, tonight }: Props) {
  const day = (night: string) => toDays(night) - toDays(tonight);
  const last = Math.max(...pupae.map((p) => Math.max(day(p.livesTo), day(p.emergesTo)))) + 2;
  const x = scaleLinear([0, last], [left, right]);
  const base = pupae.length * row + 6;
  const dateOn = (ahead: number) => fromDays(toDays(tonight) + ahead);
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Nights out of the cold, drawn">
      <svg
        viewBox={`0 0 ${width} ${base + 26}`}
        aria-hidden="true"
        className="mt-1 block w-full max-w-[680px] min-w-[520px]"
      >
        {pupae.map((p, k) => {
          const [out, from, to, end] = [day(p.on), day(p.emergesFrom), day(p.emergesTo), day(p.livesTo)];
          const male = p.sex === 'male';
          return (
            <g key={p.stockId} transform={`translate(0 ${k * row})`}>
              <text x={left - 8} y={15} textAnchor="end" className="fill-soft!">
                {p.name} {p.count > 1 ? `(${p.count})` : male ? '♂' : '♀'}
              </text>
              <path d={`M${x(out)} 11H${x(from)}`} stroke="var(--edge)" strokeDasharray="2 3" />
              <circle cx={x(out)} cy={11} r={4} fill="var(--lampmark)" />
              <rect
                x={x(from)}
                width={Math.max(2, x(to) - x(from))}
                y={5}
                height={12}
                rx={3}
                fill="var(--moss)"
                fillOpacity="0.35"
              />
              <path
                d={`M${x((from + to) / 2)} 11H${x(Math.max(end, (from + to) / 2))}`}
                stroke={male ? 'var(--lamp)' : 'var(--moss)'}
                strokeWidth="3"
              />
            </g>
          );
        })}
        <path d={`M${left} ${base}H${right}`} stroke="var(--edge)" />
        {x.ticks(5).map((ahead) => (
          <text
            key={ahead}
            x={x(ahead)}
            y={base + 18}
            textAnchor={x(ahead) > right - 40 ? 'end' : 'middle'}
            className="fill-muted!"
          >
            {ahead === 0 ? 'tonight' : shortDate(dateOn(ahead), tonight)}
          </text>
        ))}
      </svg>
    </div>
  );
}
