import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import { Fragment } from 'react';
import { Link } from 'react-router';
import type { AnimalView, Schemas } from '../../api/client';
import { shortDate, toDays } from '../../ui/dates';
import { Measured } from '../../ui/Measured';
import { Ladder } from './EvidenceLadder';

type Forecast = Schemas['VigilForecast'];
type EndsBy = Schemas['EndsBy'];

const height = 150;
const top = 4;
const base = height - 26;

const inHundred = (p: number) => {
  const n = Math.round(p * 100);
  return n < 1 ? 'less than 1 in 100' : n > 99 ? 'over 99 in 100' : `${n} in 100`;
};

/** How each wait may end: what will have ended as hoped from below, the other ends from above, still waiting between. */
export function EndsCharts({ animal }: { animal: AnimalView }) {
  return animal.waits.map(
    ({ value }, k) =>
      value?.ends != null && (
        <EndsChart
          key={`${value.vigil} ${k}`}
          stockId={animal.stockId}
          forecast={value}
          ends={value.ends}
          tonight={animal.tonight}
        />
      ),
  );
}

interface EndsChartProps {
  stockId: string;
  forecast: Forecast;
  ends: NonNullable<Forecast['ends']>;
  tonight: string;
}

function EndsChart({ stockId, forecast, ends, tonight }: EndsChartProps) {
  return (
    <figure className="mt-2">
      {forecast.ladder.length > 0 && (
        <>
          <p className="mb-1 text-13">
            Did it take? <b className="font-semibold">{inHundred(forecast.ladder.at(-1)?.chance ?? 0)}</b>{' '}
            <Link to={`/pairing/${stockId}`} className="linkish">
              What was seen
            </Link>
          </p>
          <Ladder rungs={forecast.ladder} what="chance that it took in 100" />
        </>
      )}
      <figcaption className="mt-2 mb-1.5 text-13">
        How it may end:{' '}
        {ends.ends.map((end, k) => (
          <Fragment key={end.end}>
            {k > 0 && ', '}
            <span className={k === 0 ? 'font-semibold' : undefined}>
              {end.says} {inHundred(end.chance)}
            </span>
          </Fragment>
        ))}
      </figcaption>
      <Measured height={height}>
        {(width) => <Ends forecast={forecast} ends={ends} tonight={tonight} width={width} />}
      </Measured>
    </figure>
  );
}

/** Where an end lies in the picture: the hoped one from the ground up, the others below each other from the top. */
function band(end: Schemas['EndChance'], k: number, last: EndsBy) {
  const chance = (by: EndsBy, of: number) => by.chances[of] ?? 0;
  const above = (by: EndsBy) => by.chances.slice(1, k).reduce((sum, p) => sum + p, 0);
  return {
    end,
    from: (by: EndsBy) => (k === 0 ? 0 : 1 - above(by)),
    to: (by: EndsBy) => (k === 0 ? chance(by, 0) : 1 - above(by) - chance(by, k)),
    height: chance(last, k),
    colour: k === 0 ? 'var(--moss)' : 'var(--lampmark)',
    fill: k === 0 ? 0.35 : 0.3 / k,
  };
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
  const bands = ends.ends.map((end, k) => band(end, k, last));
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
            `By ${shortDate(by.night, tonight)}: ${ends.ends.map((end, k) => `${end.says} ${inHundred(by.chances[k] ?? 0)}`).join(', ')}`,
        )
        .join('. ')}
      className="block"
    >
      <rect x="0" y={top} width={right} height={base - top} fill="var(--hushpale)" />
      {bands.map(({ end, from, to, colour, fill }) => (
        <Fragment key={end.end}>
          <path
            d={
              area<EndsBy>(
                at,
                (by) => y(from(by)),
                (by) => y(to(by)),
              ).curve(curveMonotoneX)(ends.nights) ?? ''
            }
            fill={colour}
            fillOpacity={fill}
          />
          <path
            d={line<EndsBy>(at, (by) => y(to(by))).curve(curveMonotoneX)(ends.nights) ?? ''}
            fill="none"
            stroke={colour}
            strokeWidth="1.6"
          />
        </Fragment>
      ))}
      {[0, 0.5, 1].map((share) => (
        <text key={share} x={right + 6} y={y(share) + (share === 1 ? 9 : 4)} className="fill-muted!">
          {share * 100}
        </text>
      ))}
      <path d={`M0 ${y(0.5)}H${right}`} stroke="var(--edge)" strokeDasharray="2 4" />
      {bands
        .filter(({ height: share }) => tall(share))
        .map(({ end, from }) => (
          <text
            key={end.end}
            x={right - 6}
            y={from(last) === 0 ? base - 7 : y(from(last)) + 14}
            textAnchor="end"
          >
            {end.says}
          </text>
        ))}
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
