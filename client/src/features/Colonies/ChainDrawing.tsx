import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../../api/client';
import { fromDays, shortDate, toDays } from '../../ui/dates';

const [width, row, left, right] = [300, 20, 52, 294];

const words: Record<Schemas['BroodSeen'], string> = {
  eggs: 'eggs',
  larvae: 'larvae',
  largeLarvae: 'large larvae',
  pupae: 'pupae',
  workers: 'workers',
  mold: 'mold',
};

/** A founding as one line of stages: what was seen is a dot on its night, what is awaited a band. */
export function ChainDrawing({
  steps,
  tonight,
}: {
  steps: readonly Schemas['ChainStep'][];
  tonight: string;
}) {
  const now = toDays(tonight);
  const nights = steps.flatMap((s) => [toDays(s.seenOn ?? s.from), toDays(s.seenOn ?? s.to)]);
  const first = Math.min(now, ...nights);
  const x = scaleLinear([first, Math.max(now + 1, ...nights) + 2], [left, right]);
  const height = steps.length * row + 18;
  const said = steps
    .map((s) =>
      s.seenOn === null
        ? `${words[s.stage]} ${shortDate(s.from, tonight)} to ${shortDate(s.to, tonight)}`
        : `${words[s.stage]} seen ${shortDate(s.seenOn, tonight)}`,
    )
    .join('; ');
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Founding: ${said}`}
      className="mt-1 block w-full max-w-[340px]"
    >
      <path d={`M${x(now)} 0V${height - 16}`} stroke="var(--lampmark)" strokeDasharray="3 3" />
      {steps.map((step, k) => {
        const y = k * row + 10;
        return (
          <g key={step.stage}>
            <text x={left - 6} y={y + 4} textAnchor="end" className="fill-soft text-[11px]">
              {words[step.stage]}
            </text>
            {step.seenOn !== null ? (
              <circle cx={x(toDays(step.seenOn))} cy={y} r={4.5} fill="var(--moss)" />
            ) : (
              <>
                <rect
                  x={x(toDays(step.from))}
                  y={y - 5}
                  width={Math.max(3, x(toDays(step.to)) - x(toDays(step.from)))}
                  height={10}
                  rx={2}
                  fill="var(--moss)"
                  fillOpacity={0.35}
                />
                <path
                  d={`M${x(toDays(step.likely))} ${y - 6}V${y + 6}`}
                  stroke="var(--moss)"
                  strokeWidth={2}
                />
              </>
            )}
          </g>
        );
      })}
      {x.ticks(3).map((day) => (
        <text
          key={day}
          x={x(day)}
          y={height - 3}
          textAnchor={x(day) > right - 30 ? 'end' : 'middle'}
          className="fill-muted text-[10px]"
        >
          {day === now ? 'tonight' : shortDate(fromDays(day), tonight)}
        </text>
      ))}
    </svg>
  );
}
