import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import type { AnimalView, Schemas } from '../../api/client';
import { shortDate, toDays } from '../../ui/dates';
import { Measured } from '../../ui/Measured';

type Forecast = Schemas['VigilForecast'];
type EndsBy = Schemas['EndsBy'];

const height = 150;
const top = 4;
const base = height - 26;

const inHundred = (p: number) => {
  const n = Math.round(p * 100);
  return n < 1 ? 'less than 1 in 100' : n > 99 ? 'over 99 in 100' : `${n} in 100`;
};

/** How each wait may end: what will have ended as hoped from below, otherwise from above, still waiting between. */
export function EndsCharts({ animal }: { animal: AnimalView }) {
  return animal.waits.map(
    ({ value }) =>
      value?.ends != null && (
        <EndsChart key={value.vigil} forecast={value} ends={value.ends} tonight={animal.tonight} />
      ),
  );
}

interface EndsChartProps {
  forecast: Forecast;
  ends: NonNullable<Forecast['ends']>;
  tonight: string;
}

function EndsChart({ forecast, ends, tonight }: EndsChartProps) {
  return (
    <figure className="mt-2">
      <figcaption className="mb-1.5 text-13">
        How it may end:{' '}
        <b className="font-semibold">
          {ends.hoped} {inHundred(1 - ends.otherChance)}
        </b>
        , {ends.otherwise} {inHundred(ends.otherChance)}
      </figcaption>
      <Measured height={height}>
        {(width) => <Ends forecast={forecast} ends={ends} tonight={tonight} width={width} />}
      </Measured>
    </figure>
  );
}

interface EndsProps {
  forecast: Forecast;
  ends: Schemas['EndForecast'];
  tonight: string;
  width: number;
}

function Ends({ forecast, ends, tonight, width }: EndsProps) {
  const last = ends.nights.at(-1);
  if (last === undefined) {
    return null;
  }
  const right = width - 34;
  const x = scaleLinear([toDays(tonight), toDays(last.night)], [0, right]);
  const y = scaleLinear([0, 1], [base, top]);
  const at = (by: EndsBy) => x(toDays(by.night));
  const hoped = area<EndsBy>(at, base, (by) => y(by.hoped)).curve(curveMonotoneX);
  const otherwise = area<EndsBy>(at, (by) => y(1 - by.otherwise), top).curve(curveMonotoneX);
  const edge = line<EndsBy>(at, (by) => y(by.hoped)).curve(curveMonotoneX);
  const otherEdge = line<EndsBy>(at, (by) => y(1 - by.otherwise)).curve(curveMonotoneX);
  // Words stand where their area is high enough for them; the figures of the caption say the rest.
  const tall = (share: number) => base - y(share) > 20;
  const half = x(toDays(forecast.p50));
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={ends.nights
        .filter((_, k) => k % 8 === 0)
        .map(
          (by) =>
            `By ${shortDate(by.night, tonight)}: ${ends.hoped} ${inHundred(by.hoped)}, ${ends.otherwise} ${inHundred(by.otherwise)}`,
        )
        .join('. ')}
      className="block"
    >
      <rect x="0" y={top} width={right} height={base - top} fill="var(--hushpale)" />
      <path d={hoped(ends.nights) ?? ''} fill="var(--moss)" fillOpacity="0.35" />
      <path d={edge(ends.nights) ?? ''} fill="none" stroke="var(--moss)" strokeWidth="1.6" />
      <path d={otherwise(ends.nights) ?? ''} fill="var(--lampmark)" fillOpacity="0.3" />
      <path d={otherEdge(ends.nights) ?? ''} fill="none" stroke="var(--lampmark)" strokeWidth="1.6" />
      {[0, 0.5, 1].map((share) => (
        <text key={share} x={right + 6} y={y(share) + (share === 1 ? 9 : 4)} className="fill-muted!">
          {share * 100}
        </text>
      ))}
      <path d={`M0 ${y(0.5)}H${right}`} stroke="var(--edge)" strokeDasharray="2 4" />
      {tall(last.hoped) && (
        <text x={right - 6} y={base - 7} textAnchor="end">
          {ends.hoped}
        </text>
      )}
      {tall(last.otherwise) && (
        <text x={right - 6} y={top + 14} textAnchor="end">
          {ends.otherwise}
        </text>
      )}
      <text x="8" y={y(0.6)} className="fill-hush!">
        still waiting
      </text>
      <path d={`M0 ${base}H${right}`} stroke="var(--edge)" />
      <path d={`M1 0V${base + 5}`} stroke="var(--lampmark)" strokeWidth="2" />
      <text x="0" y={height - 8} fontWeight="650" className="fill-lamptext!">
        tonight
      </text>
      {half > 62 && half < right - 40 && (
        <>
          <path d={`M${half} ${base}v4`} stroke="var(--edge)" />
          <text x={half} y={height - 8} textAnchor="middle">
            {shortDate(forecast.p50, tonight)}
          </text>
        </>
      )}
      <text x={right} y={height - 8} textAnchor="end" className="fill-muted!">
        {shortDate(last.night, tonight)}
      </text>
    </svg>
  );
}
