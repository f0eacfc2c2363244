import type { Schemas } from '../../api/client';
import { fromDays, shortDate } from '../../ui/dates';
import { shades } from './shades';

const faintest = 0.07;
const thickest = 0.36;

interface ForecastShadeProps {
  forecast: Schemas['VigilForecast'];
  tonight: string;
  /** Where a day lies. */
  x: (day: number) => number;
  top: number;
  height: number;
}

/** The nights in which a wait may end, the darker the likelier. */
export function ForecastShade({ forecast, tonight, x, top, height }: ForecastShadeProps) {
  return shades(forecast.twentieths).map(({ from, to, strength, ended }) => (
    <rect
      key={from}
      x={x(from)}
      y={top}
      width={Math.max(1, x(to) - x(from))}
      height={height}
      fill="var(--hush)"
      fillOpacity={faintest + (thickest - faintest) * strength}
    >
      <title>{`By ${shortDate(fromDays(to), tonight)}: ${ended} of 20 such waits have ended`}</title>
    </rect>
  ));
}
