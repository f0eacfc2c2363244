import { WhyButton } from '../../ui/WhyButton';
import { scaleLinear } from 'd3-scale';
import type { AnimalView } from '../../api/client';
import { fromDays, shortDate, toDays } from '../../ui/dates';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { Measured } from '../../ui/Measured';
import { useWhy, whyAnimal } from '../Reasons/WhyContext';
import { hasPart } from '../Stock/pagePart';
import { ForecastShade } from './ForecastShade';

const line = 56;
const rowHeight = 15.5;
/** Beside the drawing of its life it is as high as that one. */
const rowsBeside = 4;
const mostRows = 6;
const mostAhead = 240;
const nightsBack = 49;

/** Everything the animal is waited for: the ends of other waits, the oldest first, then the next molt. */
const allAwaited = (animal: AnimalView) => [
  ...animal.waits,
  ...(animal.molt.value === null && animal.waits.length > 0 ? [] : [animal.molt]),
];

/** What is drawn of it: a molt that is here before all else. */
const awaited = (animal: AnimalView) =>
  animal.phase.value === 'imminent' && animal.molt.value !== null
    ? animal.molt
    : (animal.waits[0] ?? animal.molt);

/** The weeks round tonight: meals, refusals, signs, and the band in which what is awaited is expected. */
export function MoltCloseUp({ animal, unit }: { animal: AnimalView; unit: LengthUnit }) {
  const { toggle } = useWhy();
  const forecast = awaited(animal);
  return (
    <figure className="min-w-0">
      <figcaption>
        <h2 className="text-18">
          {forecast.summary}{' '}
          <WhyButton
            of={`this window of ${animal.details.nickname}`}
            className="relative ml-0.5"
            onClick={() =>
              toggle({
                title: 'Why this window?',
                animal: whyAnimal(animal),
                summary: forecast.summary,
                reasons: forecast.reasons,
              })
            }
          />
        </h2>
        {allAwaited(animal)
          .filter((other) => other !== forecast)
          .map((other) => (
            <p key={other.summary} className="text-13 text-soft">
              {other.summary}
            </p>
          ))}
        {forecast.value?.longerThanNormal === true && (
          <p className="text-13 text-lamptext">
            A longer wait than 39 in 40. Waiting is still right: leave {animal.them} be.
          </p>
        )}
      </figcaption>
      <Measured height={footOf(animal) + 52}>
        {(width) => <CloseUp animal={animal} width={width} unit={unit} />}
      </Measured>
    </figure>
  );
}

const fromOf = (animal: AnimalView) => toDays(animal.tonight) - nightsBack;

/** What was seen of late, as it is written. */
const told = (animal: AnimalView) =>
  merged(signsAndRefusals(animal).filter((e) => toDays(e.night) >= fromOf(animal))).slice(-mostRows);

/** Where the band ends, below what is written. */
const footOf = (animal: AnimalView) =>
  line + 36 + rowHeight * Math.max(hasPart(animal, 'life') ? rowsBeside : 1, told(animal).length);

function CloseUp({ animal, width, unit }: { animal: AnimalView; width: number; unit: LengthUnit }) {
  const tonight = toDays(animal.tonight);
  const molt = awaited(animal).value;
  const from = fromOf(animal);
  const foot = footOf(animal);
  const height = foot + 52;
  // The likely night is always in sight, however far off it is.
  const far =
    molt === null ? 0 : Math.min(Math.max(tonight + mostAhead, toDays(molt.p50) + 20), toDays(molt.p90) + 10);
  const to = Math.max(tonight + 28, far);
  const x = scaleLinear([from, to], [0, width]);
  const within = (night: string) => toDays(night) >= from;
  const events = signsAndRefusals(animal).filter((e) => within(e.night));
  const next = animal.growth.value?.fit?.next ?? null;
  const band =
    molt === null
      ? null
      : { x1: x(toDays(molt.p10)), half: x(toDays(molt.p50)), x2: Math.min(width, x(toDays(molt.p90))) };
  const grows = molt?.vigil === 'molt' || molt?.vigil === 'surfacing';
  const food = animal.log.head.find((offer) => offer.form === 'offered');
  const held = animal.hush.find((h) => h.act === food?.care);
  const until = held?.verdict === 'never' ? held.until : null;
  const step = 7 * Math.ceil((to - from) / Math.max(3, Math.floor(width / 84)) / 7);
  const labels = [];
  for (let day = tonight - Math.floor((tonight - from) / step) * step; day <= to; day += step) {
    labels.push(day);
  }
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`${awaited(animal).summary} ${events.map((e) => `${e.text} ${shortDate(e.night, animal.tonight)}`).join(', ')}`}
      className="block overflow-hidden"
    >
      {molt !== null && band !== null && (
        <>
          <ForecastShade forecast={molt} x={x} top={24} height={foot - 24} />
          <path
            d={`M${band.x1} 24V${foot}M${band.x2} 24V${foot}`}
            stroke="var(--hush)"
            strokeOpacity="0.75"
          />
          <path d={`M${band.half} 24V${foot}`} stroke="var(--hush)" strokeWidth="2" />
        </>
      )}
      <path d={`M0 ${line}H${x(tonight)}`} stroke="var(--ink)" strokeWidth="2.5" />
      {band !== null && (
        <path
          d={`M${x(tonight)} ${line}H${band.half}${grows ? `V${line - 18}` : ''}H${width}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.6"
          strokeDasharray="3 3"
        />
      )}
      {next !== null && band !== null && molt?.vigil === 'molt' && (
        <text x={width} y={14} textAnchor="end">
          <tspan className="fill-muted">then about </tspan>
          <tspan fontWeight="650">{fromMm(next.medianMm, unit)}</tspan>
          <tspan className="fill-muted">{` (${fromMm(next.low90Mm, unit)}–${fromMm(next.high90Mm, unit)} ${unit})`}</tspan>
        </text>
      )}
      {animal.lifeline.meals.filter(within).map((night, k) => (
        <circle key={`${night}${k}`} cx={x(toDays(night))} cy={line + 11} r="3" fill="var(--muted)" />
      ))}
      {events
        .filter((e) => e.refused)
        .map((e, k) => (
          <circle
            key={`${e.night}${k}`}
            cx={x(toDays(e.night))}
            cy={line + 11}
            r="3.2"
            fill="var(--bg)"
            stroke="var(--ink)"
            strokeWidth="1.3"
          />
        ))}
      <path d={`M${x(tonight)} 24V${foot + 28}`} stroke="var(--lampmark)" strokeWidth="2" />
      {told(animal).map((event, k) => {
        const at = x(toDays(event.night));
        const below = line + 30 + k * rowHeight;
        // The label ends at its leader, or as near to it as the edge of the drawing allows.
        const end = Math.max(at - 7, (event.text.length + 9) * 6.2);
        return (
          <g key={`${event.text}${event.night}`}>
            {!event.refused && <path d={`M${at - 4} ${line - 5}h8l-4 5Z`} fill="var(--hush)" />}
            <path
              d={`M${at} ${line + (event.refused ? 15 : 4)}V${below - 4}h-4`}
              fill="none"
              stroke="var(--edge)"
            />
            <text x={end} y={below} textAnchor="end" stroke="var(--bg)" strokeWidth="4" paintOrder="stroke">
              {event.text} {shortDate(event.night)}
            </text>
          </g>
        );
      })}
      {until !== null && (
        <g>
          <rect
            x={x(tonight)}
            y={foot + 5}
            width={Math.max(2, x(toDays(until.from)) - x(tonight))}
            height="12"
            fill="var(--hush)"
            fillOpacity="0.6"
          />
          <rect
            x={x(toDays(until.from))}
            y={foot + 5}
            width={Math.max(2, Math.min(width, x(toDays(until.to))) - x(toDays(until.from)))}
            height="12"
            fill="var(--hushpale)"
          />
          <path
            d={`M${Math.min(width, x(toDays(until.night)))} ${foot + 3}v16`}
            stroke="var(--hush)"
            strokeWidth="2"
          />
          <text x={x(tonight) - 6} y={foot + 15.5} textAnchor="end" className="fill-muted!">
            no food
          </text>
        </g>
      )}
      <path d={`M0 ${foot + 24}H${width}`} stroke="var(--edge)" />
      {labels
        .filter((day) => x(day) > 16 && x(day) < width - 16)
        .map((day) => (
          <g key={day}>
            <path d={`M${x(day)} ${foot + 24}v4`} stroke="var(--edge)" />
            <text
              x={x(day)}
              y={foot + 42}
              textAnchor="middle"
              fontWeight={day === tonight ? 650 : 400}
              className={day === tonight ? 'fill-lamptext!' : 'fill-muted!'}
            >
              {day === tonight ? 'tonight' : shortDate(fromDays(day))}
            </text>
          </g>
        ))}
    </svg>
  );
}

interface CloseUpEvent {
  night: string;
  text: string;
  refused: boolean;
}

/** The same thing several times in a row is written once, at the last of them. */
function merged(events: CloseUpEvent[]): CloseUpEvent[] {
  const runs: { event: CloseUpEvent; times: number }[] = [];
  for (const event of events) {
    const run = runs.at(-1);
    if (run?.event.text === event.text) {
      runs[runs.length - 1] = { event, times: run.times + 1 };
    } else {
      runs.push({ event, times: 1 });
    }
  }
  return runs.map(({ event, times }) => ({
    ...event,
    text: times === 1 ? `${event.text},` : `${event.text} ${times} times, last`,
  }));
}

function signsAndRefusals(animal: AnimalView): CloseUpEvent[] {
  const signs = animal.lifeline.signs.map((s): CloseUpEvent => ({
    night: s.night,
    text: s.label,
    refused: false,
  }));
  const refusals = animal.lifeline.refusals.map((night): CloseUpEvent => ({
    night,
    text: 'not taken',
    refused: true,
  }));
  return [...signs, ...refusals].sort((a, b) => a.night.localeCompare(b.night));
}
