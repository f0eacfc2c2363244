import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { Schemas } from '../../api/client';
import { leafGrams } from './leafGrams';

const [width, height] = [220, 44];

/** Leaf that is left night by night as a hill, what is eaten of it as a line; a post where it runs short. */
export function PlantDays({ outlook }: { outlook: Schemas['PlantOutlook'] }) {
  const { leftByDay, gramsByDay } = outlook;
  const most = max([...leftByDay, ...gramsByDay]) ?? 0;
  if (most <= 0) {
    return null;
  }
  const x = scaleLinear([0, leftByDay.length - 1], [1, width - 1]);
  const y = scaleLinear([0, most], [height - 12, 2]);
  const hill = area<number>(
    (_, k) => x(k),
    () => y(0),
    (g) => y(g),
  );
  const eaten = line<number>(
    (_, k) => x(k),
    (g) => y(g),
  );
  const short = gramsByDay.findIndex((g, k) => g > 0.05 && (leftByDay[k] ?? 0) <= 0);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Leaf of ${outlook.plant} in the next ${leftByDay.length} nights: ${leafGrams(leftByDay[0] ?? 0)} left tonight, at most ${leafGrams(max(gramsByDay) ?? 0)} eaten in a night`}
      className="block w-full max-w-[220px]"
    >
      <path d={hill(leftByDay) ?? ''} fill="var(--moss)" fillOpacity="0.35" />
      <path d={eaten(gramsByDay) ?? ''} fill="none" stroke="var(--lampmark)" strokeWidth="1.4" />
      <path d={`M0 ${height - 12}H${width}`} stroke="var(--edge)" />
      {short >= 0 && outlook.shortOn !== null && (
        <path d={`M${x(short)} 2V${height - 12}`} stroke="var(--ember)" strokeDasharray="3 2" />
      )}
      <text x="0" y={height - 2} className="fill-muted text-[9px]">
        tonight
      </text>
      <text x={width} y={height - 2} textAnchor="end" className="fill-muted text-[9px]">
        {`in ${leftByDay.length} nights`}
      </text>
    </svg>
  );
}
