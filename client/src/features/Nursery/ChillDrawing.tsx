import { scaleLinear } from 'd3-scale';

const [width, height, base, right] = [520, 170, 140, 484];

interface Props {
  /** Mean of each day in turn, °C; none where nothing was read. */
  meansC: readonly (number | null)[];
  belowC: number;
  /** Day (from 1) on which the winter was done. */
  doneOn: number | null;
}

/** Days of a winter: those that were cold enough are filled, the others only drawn. */
export function ChillDrawing({ meansC, belowC, doneOn }: Props) {
  const read = meansC.filter((c) => c !== null);
  const [low, high] = [Math.min(0, belowC, ...read), Math.max(belowC + 2, ...read)];
  const x = scaleLinear([0, meansC.length], [30, right]);
  const y = scaleLinear([low, high], [base, 12]);
  const cold = read.filter((c) => c <= belowC).length;
  const wide = Math.max(1, x(1) - x(0) - 1.5);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${cold} of ${meansC.length} days at or below ${belowC} °C`}
      className="w-full max-w-[560px]"
    >
      {meansC.map((c, k) =>
        c === null ? (
          <text key={k} x={x(k + 0.5)} y={base - 4} textAnchor="middle" className="fill-muted!">
            ?
          </text>
        ) : (
          <rect
            key={k}
            x={x(k)}
            width={wide}
            y={Math.min(y(c), y(0))}
            height={Math.max(1.5, Math.abs(y(c) - y(0)))}
            fill={c <= belowC ? 'var(--moss)' : 'none'}
            stroke={c <= belowC ? 'none' : 'var(--edge)'}
          />
        ),
      )}
      <path d={`M30 ${y(belowC)}H${right}`} stroke="var(--lampmark)" strokeDasharray="3 3" />
      <text x={right + 4} y={y(belowC) + 4} className="fill-muted!">
        {belowC}°
      </text>
      {doneOn !== null && (
        <text x={x(doneOn)} y={base + 18} textAnchor="end" className="fill-text!">
          done on day {doneOn}
        </text>
      )}
      <path d={`M30 ${y(0)}H${right}`} stroke="var(--edge)" />
      <text x={26} y={y(0) + 4} textAnchor="end" className="fill-muted!">
        0°
      </text>
    </svg>
  );
}
