import { scaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import type { Schemas } from '../../api/client';
import { shortDate, toDays } from '../../ui/dates';
import { Measured } from '../../ui/Measured';

type River = Schemas['BroodRiver'];
type Bend = Schemas['RiverBend'];

const height = 206;
const [top, base] = [34, 150];

/** About so wide is a letter of the words at the branches. */
const letter = 6.1;

const leavesUpward: ReadonlySet<Schemas['RiverBranch']> = new Set(['split', 'promoted', 'left']);

/** The living of a brood over its nights: as wide as there are; who goes alive leaves upward, who is lost downward. */
export function RiverDrawing({ river, tonight, name }: { river: River; tonight: string; name: string }) {
  return (
    <Measured height={height} savedAs={`river of ${name}`}>
      {(width) => <Drawn river={river} tonight={tonight} width={width} />}
    </Measured>
  );
}

interface Shore {
  day: number;
  upper: number;
  lower: number;
}

/** Both shores night by night: the upper one falls by those that went alive, the lower one rises by those lost. */
function shoresOf(river: River): Shore[] {
  const first = toDays(river.from);
  const shores: Shore[] = [{ day: first, upper: 0, lower: river.source }];
  let gone = 0;
  for (const bend of river.bends) {
    const day = toDays(bend.night);
    const last = shores.at(-1);
    if (last !== undefined && last.day < day) {
      shores.push({ ...last, day });
    }
    gone += leavesUpward.has(bend.branch) ? bend.count : 0;
    shores.push({ day, upper: gone, lower: gone + bend.living });
  }
  const end = shores.at(-1);
  if (end !== undefined) {
    shores.push({ ...end, day: Math.max(toDays(river.to), end.day) });
  }
  return shores;
}

const wordOf = (bend: Bend) =>
  `${bend.count} ${bend.branch === 'promoted' ? 'own record' : bend.branch === 'split' ? 'split off' : bend.text}`;

function Drawn({ river, tonight, width }: { river: River; tonight: string; width: number }) {
  const shores = shoresOf(river);
  const [from, to] = [toDays(river.from), Math.max(toDays(river.to), toDays(river.from) + 1)];
  const x = scaleLinear([from, to], [4, width - 52]);
  const most = Math.max(1, ...shores.map((s) => s.lower));
  const y = scaleLinear([0, most], [top, base]);
  const water = area<Shore>(
    (s) => x(s.day),
    (s) => y(s.upper),
    (s) => y(s.lower),
  );
  const last = shores.at(-1);
  const living = last === undefined ? 0 : last.lower - last.upper;
  const shoreAt = (bend: Bend, up: boolean) => {
    const at = shores.findLast((s) => s.day <= toDays(bend.night));
    return up ? y(at?.upper ?? 0) : y(at?.lower ?? most);
  };
  /** Branches whose words have room beside each other; one near the end stands before its branch. */
  const spaced = (bends: readonly Bend[]) => {
    let free = 0;
    return bends.map((bend) => {
      const [at, wide] = [x(toDays(bend.night)), wordOf(bend).length * letter];
      const start = at + wide <= width ? at : at - wide;
      const fits = start >= free;
      free = fits ? start + wide + letter : free;
      return { bend, at, start, fits };
    });
  };
  const upward = spaced(river.bends.filter((b) => leavesUpward.has(b.branch)));
  const downward = spaced(river.bends.filter((b) => b.branch === 'lost'));
  const told = river.bends
    .slice(0, 12)
    .map((b) => `${shortDate(b.night, tonight)}: ${wordOf(b)}, ${b.living} there`)
    .join('. ');
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`From ${river.source} to ${living}. ${told}`}
      className="block"
    >
      {river.instars.map((mark, k) => (
        <g key={`${mark.night} ${k}`}>
          <path
            d={`M${x(toDays(mark.night))} ${top - 6}V${base + 4}`}
            stroke="var(--edge)"
            strokeDasharray="2 4"
          />
          <text x={x(toDays(mark.night)) + 3} y={base + 12} className="fill-muted!">
            {mark.instar}
          </text>
        </g>
      ))}
      <path d={water(shores) ?? ''} fill="var(--moss)" fillOpacity="0.34" stroke="var(--moss)" />
      {upward.map(({ bend, at, start, fits }, k) => (
        <g key={`up ${k}`}>
          <path
            d={`M${at} ${shoreAt(bend, true)}q2 -14 14 -16`}
            stroke="var(--moss)"
            strokeWidth={Math.max(1.5, y(bend.count) - y(0))}
            fill="none"
            strokeOpacity="0.5"
          />
          {fits && (
            <text x={start} y={top - 16}>
              {wordOf(bend)}
            </text>
          )}
        </g>
      ))}
      {downward.map(({ bend, at, start, fits }, k) => (
        <g key={`down ${k}`}>
          <path
            d={`M${at} ${shoreAt(bend, false)}q2 10 12 12`}
            stroke="var(--ember)"
            strokeWidth={Math.min(9, Math.max(1.5, y(bend.count) - y(0)))}
            fill="none"
            strokeOpacity="0.6"
          />
          {fits && (
            <text x={start} y={base + 26} className="fill-ember!">
              {wordOf(bend)}
            </text>
          )}
        </g>
      ))}
      <text x={width - 46} y={y((last?.upper ?? 0) + living / 2) + 5} fontWeight="650">
        {living}
      </text>
      <text x={x(from)} y={height - 4} className="fill-muted!">
        {shortDate(river.from, tonight)}
      </text>
      <text x={x(to)} y={height - 4} textAnchor="end" className="fill-muted!">
        {river.to === tonight ? 'tonight' : shortDate(river.to, tonight)}
      </text>
    </svg>
  );
}
