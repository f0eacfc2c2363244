import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../../api/client';
import { shortDate, toDays } from '../../ui/dates';
import { ForecastShade } from './ForecastShade';

type Forecast = Schemas['VigilForecast'];

const width = 206;

/** The window of the next molt from tonight on, small enough to stand beside a sentence. */
export function MoltBand({ forecast, tonight }: { forecast: Forecast; tonight: string }) {
  const x = scaleLinear([toDays(tonight), toDays(forecast.p90)], [1, width - 22]);
  const [from, likely, to] = [forecast.p10, forecast.p50, forecast.p90].map((night) => x(toDays(night)));
  if (from === undefined || likely === undefined || to === undefined) {
    return null;
  }
  return (
    <svg
      width={width}
      height="36"
      role="img"
      aria-label={`From tonight: one in ten by ${shortDate(forecast.p10, tonight)}, half by ${shortDate(forecast.p50, tonight)}, nine in ten by ${shortDate(forecast.p90, tonight)}`}
      className="mt-1.5 block max-w-full overflow-visible"
    >
      <ForecastShade forecast={forecast} x={x} top={3} height={12} />
      <path d={`M${from} 3v12M${to} 3v12`} stroke="var(--hush)" strokeOpacity="0.75" />
      <path d={`M${likely} 1v16`} stroke="var(--hush)" strokeWidth="2" />
      <path d={`M0 17.5H${width}`} stroke="var(--edge)" />
      <path d="M1 0V20" stroke="var(--lampmark)" strokeWidth="2" />
      {likely > 70 && (
        <text x="0" y="32" fontWeight="650" className="fill-lamptext!">
          tonight
        </text>
      )}
      <text x={Math.max(18, likely)} y="32" textAnchor="middle">
        {shortDate(forecast.p50, tonight)}
      </text>
      {to - likely > 44 && (
        <text x={to} y="32" textAnchor="middle" className="fill-muted!">
          {shortDate(forecast.p90, tonight)}
        </text>
      )}
    </svg>
  );
}
