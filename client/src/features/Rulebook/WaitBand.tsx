import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../../api/client';
import { partsOf } from './ruleParts';

const width = 260;

/** A wait as a band from its 1-in-10 to its 9-in-10 day, on a scale that it shares with those round it. */
export function WaitBand({ line, longest }: { line: Schemas['RuleLine']; longest: number }) {
  const parts = partsOf(line.value);
  const x = scaleLinear([0, longest], [0, width - 2]);
  const [p10, p50, p90] = ['p10', 'p50', 'p90'].map((key) => x(Number(parts[key])));
  if (p10 === undefined || p50 === undefined || p90 === undefined || !line.unit.startsWith('days')) {
    return null;
  }
  return (
    <svg
      viewBox={`0 0 ${width} 12`}
      aria-hidden="true"
      preserveAspectRatio="xMinYMid"
      className="mt-0.5 block h-3 w-full max-w-[260px]"
    >
      <path d={`M0 11.5H${width}`} stroke="var(--line)" />
      <rect x={p10} y="1" width={Math.max(1, p90 - p10)} height="9" fill="var(--hushpale)" />
      <path d={`M${p10} 1v9M${p90} 1v9`} stroke="var(--hush)" strokeOpacity="0.75" />
      <path d={`M${p50} 0v11`} stroke="var(--hush)" strokeWidth="2" />
    </svg>
  );
}
