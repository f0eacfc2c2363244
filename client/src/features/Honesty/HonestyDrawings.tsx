import { scaleLinear, scaleLog } from 'd3-scale';
import type { Schemas } from '../../api/client';

interface CoverageBarProps {
  share: number;
  /** Between which shares it probably lies; none where too few animals tell. */
  likely: { low: number; high: number } | null;
}

/** A share against the 8 in 10 that was promised, with how sure it is. */
export function CoverageBar({ share, likely }: CoverageBarProps) {
  const percent = Math.round(share * 100);
  return (
    <span className="flex items-center gap-x-2 max-sm:flex-wrap">
      <svg width="120" height="14" aria-hidden="true" className="flex-none">
        <rect y="4" width="120" height="6" fill="var(--line)" />
        <rect y="4" width={1.2 * percent} height="6" fill="var(--moss)" />
        {likely !== null && (
          <path
            d={`M${120 * likely.low} 7H${120 * likely.high}M${120 * likely.low} 4v6M${120 * likely.high} 4v6`}
            stroke="var(--ink)"
          />
        )}
        <path d="M96 0v14" stroke="var(--ink)" strokeWidth="1.5" />
      </svg>
      <span className="whitespace-nowrap">
        {percent} in 100
        {likely !== null && (
          <span className="font-normal text-muted">
            {' '}
            ({Math.round(likely.low * 100)}–{Math.round(likely.high * 100)})
          </span>
        )}
      </span>
    </span>
  );
}

/** One forecast as it stood, and the day on which it came. */
export function ForecastStrip({ forecast: f }: { forecast: Schemas['ScoredForecast'] }) {
  const width = 440;
  const end = Math.max(f.engine.p90, f.happenedTo ?? 0) * 1.06 + 1;
  const x = scaleLinear([Math.min(0, f.happenedFrom), end], [2, width - 2]);
  return (
    <svg viewBox={`0 0 ${width} 18`} className="w-full" aria-hidden="true">
      <path d={`M0 15H${width}`} stroke="var(--line)" />
      <rect
        x={x(f.engine.p10)}
        y="3"
        width={Math.max(2, x(f.engine.p90) - x(f.engine.p10))}
        height="10"
        fill="var(--hushpale)"
      />
      <path d={`M${x(f.engine.p50)} 1v14`} stroke="var(--hush)" strokeWidth="2" />
      <circle cx={x(((f.happenedTo ?? end) + f.happenedFrom) / 2)} cy="8" r="4" fill="var(--lampmark)" />
    </svg>
  );
}

/** A likelihood ratio on a log scale, with the rulebook's beside it. */
export function RatioBar({ ratio, rulebook }: { ratio: number; rulebook: number }) {
  const x = scaleLog([0.1, 1000], [0, 150]).clamp(true);
  const [from, to] = ratio < 1 ? [x(ratio), x(1)] : [x(1), x(ratio)];
  return (
    <span className="flex items-center gap-x-2 max-sm:flex-wrap">
      <svg width="150" height="14" aria-hidden="true" className="flex-none max-sm:hidden">
        <path d="M0 7H150" stroke="var(--line)" />
        <rect x={from} y="3" width={Math.max(1, to - from)} height="8" fill="var(--lampmark)" />
        <path d={`M${x(1)} 0v14`} stroke="var(--edge)" />
        <path d={`M${x(rulebook)} 1v12`} stroke="var(--ink)" strokeDasharray="2 2" />
      </svg>
      × {ratio < 10 ? ratio.toFixed(1) : Math.round(ratio)}
    </span>
  );
}
