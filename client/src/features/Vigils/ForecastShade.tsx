import { useId } from 'react';
import type { Schemas } from '../../api/client';
import { shades } from './shades';

const faintest = 0.05;
const thickest = 0.42;

interface ForecastShadeProps {
  forecast: Schemas['VigilForecast'];
  /** Where a day lies. */
  x: (day: number) => number;
  top: number;
  height: number;
}

/** The nights in which a wait may end, the darker the likelier. */
export function ForecastShade({ forecast, x, top, height }: ForecastShadeProps) {
  const id = useId();
  const steps = shades(forecast.grid);
  const [from, to] = [x(steps[0]?.day ?? 0), x(steps.at(-1)?.day ?? 0)];
  // A single step has no length to shade along.
  const width = Math.max(2, to - from);
  return (
    <>
      <linearGradient id={id} gradientUnits="userSpaceOnUse" x1={from} x2={from + width} y1="0" y2="0">
        {steps.map(({ day, strength }) => (
          <stop
            key={day}
            offset={(x(day) - from) / width}
            stopColor="var(--hush)"
            stopOpacity={strength === 0 ? 0 : faintest + (thickest - faintest) * strength}
          />
        ))}
      </linearGradient>
      <rect x={from} y={top} width={width} height={height} fill={`url(#${id})`} />
    </>
  );
}
