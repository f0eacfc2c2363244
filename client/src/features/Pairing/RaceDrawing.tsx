import { scaleLinear, scaleUtc } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import type { Schemas } from '../../api/client';
import { fromDays, shortDate, toDays } from '../../ui/dates';
import { Measured } from '../../ui/Measured';

type Race = Schemas['HerRace'];
type Candidate = Schemas['Candidate'];

const widest = 620;
const top = 20;
const curveHeight = 86;
const axisHeight = 20;
const spanHeight = 20;
const dayMs = 86_400_000;

interface Props {
  race: Race;
  tonight: string;
  eggCase: string;
  /** Males whose span is drawn on the same nights. */
  males: readonly Candidate[];
  /** Cages whose bookings are drawn on the same nights. */
  cages: readonly Schemas['Gear'][];
}

/** Whether anything is lost by waiting: else a curve tells nothing that its sentence does not. */
const falls = (race: Race) => race.bestChance - (race.nights.at(-1)?.chance ?? 0) > 0.02;

/** The chance of a sac by the night of pairing, with the males that are of use on those nights. */
export function RaceDrawing({ race, tonight, eggCase, males, cages }: Props) {
  const spans = males.filter((m) => m.useful !== null);
  if (!falls(race) && spans.length === 0) {
    return null;
  }
  const base = falls(race) ? top + curveHeight : 2;
  const last = race.nights.at(-1)?.night ?? tonight;
  const booked = cages.filter((c) => c.bookings.some((b) => b.to >= tonight && b.from <= last));
  const tall = base + axisHeight + (spans.length + booked.length) * spanHeight;
  return (
    <Measured height={tall} savedAs="nights to pair">
      {(width) => (
        <Drawn
          race={race}
          tonight={tonight}
          eggCase={eggCase}
          spans={spans}
          booked={booked}
          width={Math.min(width, widest)}
          base={base}
          tall={tall}
        />
      )}
    </Measured>
  );
}

interface DrawnProps {
  race: Race;
  tonight: string;
  eggCase: string;
  spans: readonly Candidate[];
  booked: readonly Schemas['Gear'][];
  width: number;
  base: number;
  tall: number;
}

const inHundred = (p: number) => Math.round(p * 100);

function Drawn({ race, tonight, eggCase, spans, booked, width, base, tall }: DrawnProps) {
  const last = race.nights.at(-1);
  if (last === undefined) {
    return null;
  }
  const right = width - 34;
  const [first, final] = [toDays(tonight), toDays(last.night)];
  const x = scaleLinear([first, final], [2, right]);
  const months = scaleUtc([new Date(first * dayMs), new Date(final * dayMs)], [2, right])
    .ticks(4)
    .map((date) => Math.round(date.getTime() / dayMs))
    .filter(
      (day, k, all) => x(day) > 84 && x(day) < right - 24 && (k === 0 || x(day) - x(all[k - 1] ?? 0) > 84),
    );
  const told = race.nights
    .filter((_, k) => k % 8 === 0)
    .map((n) => `${shortDate(n.night, tonight)} ${inHundred(n.chance)} in 100`);
  return (
    <svg
      width={width}
      height={tall}
      role="img"
      className="block"
      aria-label={`Chance of ${eggCase} by night of pairing: ${told.join(', ')}`}
    >
      {falls(race) && <Curve race={race} tonight={tonight} base={base} right={right} at={x} />}
      <path d={`M2 ${base}H${right}`} stroke="var(--edge)" />
      <text x="2" y={base + 14} className="fill-lamptext!" fontWeight="650">
        tonight
      </text>
      {months.map((day) => (
        <text key={day} x={x(day)} y={base + 14} textAnchor="middle" className="fill-muted!">
          {shortDate(fromDays(day), tonight)}
        </text>
      ))}
      {spans.map(({ stockId, name, useful: span }, k) => {
        const y = base + axisHeight + k * spanHeight;
        const from = Math.max(2, x(toDays(span?.from ?? tonight)));
        const until = Math.min(right, x(toDays(span?.until ?? tonight)));
        return (
          <g key={stockId}>
            {until > from && (
              <rect
                x={from}
                y={y}
                width={until - from}
                height="16"
                rx="2"
                fill="var(--hushpale)"
                stroke="var(--hush)"
              />
            )}
            <text x={until > from ? from + 6 : 6} y={y + 12}>
              {name}
              {until > from ? '' : ': his time is over'}
            </text>
          </g>
        );
      })}
      {booked.map(({ id, name, bookings }, k) => {
        const y = base + axisHeight + (spans.length + k) * spanHeight;
        const taken = bookings.filter((b) => b.to >= tonight && b.from <= last.night);
        return (
          <g key={id}>
            {taken.map((b) => {
              const from = Math.max(2, x(toDays(b.from)));
              return (
                <rect
                  key={b.id}
                  x={from}
                  y={y + 2}
                  width={Math.max(4, Math.min(right, x(toDays(b.to) + 1)) - from)}
                  height="12"
                  fill="var(--muted)"
                  fillOpacity="0.45"
                />
              );
            })}
            <text
              x={Math.max(6, ...taken.map((b) => Math.min(right - 190, x(toDays(b.to) + 1)) + 8))}
              y={y + 12}
              className="fill-muted!"
            >
              {name} booked {taken.map((b) => shortDate(b.from, tonight)).join(', ')}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

interface CurveProps {
  race: Race;
  tonight: string;
  base: number;
  right: number;
  at: (day: number) => number;
}

/** The falling chance, the best night on it, and the last that is still worth it. */
function Curve({ race, tonight, base, right, at }: CurveProps) {
  const y = scaleLinear([0, 1], [base, top]);
  const by = (n: Schemas['RaceNight']) => at(toDays(n.night));
  const best = at(toDays(race.best));
  const end = race.last === null ? null : at(toDays(race.last));
  // The figure stands where the edge is not in its way.
  const bestLeft = best < right - 120;
  return (
    <>
      {end !== null && (
        <rect x={best} y={top} width={Math.max(0, end - best)} height={base - top} fill="var(--pool1)" />
      )}
      <path
        d={area<Schemas['RaceNight']>(by, base, (n) => y(n.chance)).curve(curveMonotoneX)(race.nights) ?? ''}
        fill="var(--moss)"
        fillOpacity="0.28"
      />
      <path
        d={line<Schemas['RaceNight']>(by, (n) => y(n.chance)).curve(curveMonotoneX)(race.nights) ?? ''}
        fill="none"
        stroke="var(--moss)"
        strokeWidth="1.8"
      />
      {[0, 0.5, 1].map((share) => (
        <text key={share} x={right + 6} y={y(share) + 4} className="fill-muted!">
          {share * 100}
        </text>
      ))}
      <text x={right + 32} y={top - 8} textAnchor="end" className="fill-muted!">
        in 100
      </text>
      <circle cx={best} cy={y(race.bestChance)} r="4.5" fill="var(--lampmark)" />
      <text
        x={best + (bestLeft ? 8 : -8)}
        y={y(race.bestChance) - 7}
        textAnchor={bestLeft ? 'start' : 'end'}
        fontWeight="650"
      >
        {inHundred(race.bestChance)} in 100
      </text>
      {end !== null && (
        <>
          <path d={`M${end} ${top}V${base}`} stroke="var(--lampmark)" strokeDasharray="3 3" />
          <text
            x={Math.min(end, right - 14)}
            y={top - 8}
            textAnchor={end > right - 90 ? 'end' : 'middle'}
            className="fill-lamptext!"
          >
            last sensible {shortDate(race.last ?? '', tonight)}
          </text>
        </>
      )}
    </>
  );
}
