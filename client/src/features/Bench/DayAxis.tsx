import type { ScaleLinear } from 'd3-scale';

type Scale = ScaleLinear<number, number>;

interface Props {
  x: Scale;
  y: Scale;
  /** What stands at day 0. */
  start: string;
}

/** The days below a drawing and the hundredths beside it. */
export function DayAxis({ x, y, start }: Props) {
  const [base, right] = [y(0), x.range()[1] ?? 0];
  return (
    <>
      <path d={`M6 ${base}H${right}`} stroke="var(--edge)" />
      {[0, 0.5, 1].map((share) => (
        <text key={share} x={right + 6} y={y(share) + 4} className="fill-muted!">
          {share * 100}
        </text>
      ))}
      {x.ticks(6).map((day) => (
        <text
          key={day}
          x={x(day)}
          y={base + 18}
          textAnchor={day === 0 ? 'start' : 'middle'}
          className="fill-muted!"
        >
          {day === 0 ? start : `${day} d`}
        </text>
      ))}
    </>
  );
}
