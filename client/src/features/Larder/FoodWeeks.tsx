import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { Schemas } from '../../api/client';

type Food = Schemas['FoodOutlook'];
type Week = Schemas['FoodWeek'];

const width = 224;
const height = 34;

/** Eight weeks of one food: need as bars, what is left as a line. */
export function FoodWeeks({ food }: { food: Food }) {
  const weeks = food.weeks;
  const needMost = Math.max(...weeks.map((w) => w.demandHigh), 0.5);
  // Far more than is needed is drawn at the top rather than flattening the need.
  const top = needMost * 2.2;
  const y = scaleLinear([0, top], [height - 2, 3]).clamp(true);
  const slot = width / weeks.length;
  const path = (left: (week: Week) => number, first: number) =>
    line()
      .x(([x]) => x)
      .y(([, v]) => y(v))([
      [0, first],
      ...weeks.map((w, k): [number, number] => [(k + 1) * slot, left(w)]),
    ]) ?? '';
  const gap = food.shortOn === null ? -1 : weeks.findIndex((w) => w.demand > 0.05 && w.leftLow <= 0.01);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full max-w-[260px]"
      role="img"
      aria-label={`${food.name}: ${weeks.map((w, k) => `week ${k + 1} eaten ${Math.round(w.demand)}, left ${Math.round(w.left)}`).join('; ')}`}
    >
      {gap >= 0 && <rect x={gap * slot} y="0" width={slot} height={height - 1} fill="var(--pool0)" />}
      {weeks.map((w, k) => (
        <g key={w.from}>
          <rect
            x={k * slot + 3}
            y={y(w.demand)}
            width={slot - 10}
            height={height - 2 - y(w.demand)}
            fill="var(--muted)"
            fillOpacity="0.55"
          />
          <path
            d={`M${k * slot + 3 + (slot - 10) / 2} ${y(w.demand)}V${y(w.demandHigh)}`}
            stroke="var(--muted)"
          />
        </g>
      ))}
      <path
        d={path((w) => w.leftLow, food.onHand)}
        fill="none"
        stroke="var(--moss)"
        strokeOpacity="0.5"
        strokeDasharray="3 3"
      />
      <path d={path((w) => w.left, food.onHand)} fill="none" stroke="var(--moss)" strokeWidth="1.8" />
      <path d={`M0 ${height - 1.5}H${width}`} stroke="var(--edge)" />
    </svg>
  );
}
