import { scaleLinear } from 'd3-scale';
import type { AnimalView, Schemas } from '../../api/client';
import { shortDate } from '../../ui/dates';
import { Measured } from '../../ui/Measured';

const logit = (p: number) => Math.log(p / (1 - p));
const clamp = (p: number) => Math.min(0.995, Math.max(0.005, p));
const ticks = [0.01, 0.1, 0.5, 0.9, 0.99];
const rowHeight = 23;
const labelWidth = 206;

/** How each sign moved the chance that it is in premolt, one rung after the other. */
export function EvidenceLadder({ animal }: { animal: AnimalView }) {
  const ladder = animal.molt.value?.ladder ?? [];
  const nights = animal.reading.value.evidence.map((e) => e.night);
  return ladder.length === 0 ? (
    <SignList animal={animal} />
  ) : (
    <Ladder rungs={ladder} what="chance of premolt in 100" nights={[undefined, ...nights]} />
  );
}

interface LadderProps {
  rungs: readonly Schemas['Rung'][];
  /** What the chance is of, as it stands under the axis. */
  what: string;
  /** When each rung was seen, where that is known. */
  nights?: readonly (string | undefined)[];
}

/** How each piece of evidence moved a chance, one rung after the other. */
export function Ladder({ rungs: ladder, what, nights = [] }: LadderProps) {
  const height = ladder.length * rowHeight + 26;
  return (
    <Measured height={height}>
      {(width) => {
        const left = Math.min(labelWidth, width * 0.62);
        const x = scaleLinear([logit(0.005), logit(0.995)], [left + 10, width - 12]);
        return (
          <svg
            width={width}
            height={height}
            role="img"
            aria-label={`${what.charAt(0).toUpperCase()}${what.slice(1)}: ${ladder.map((r) => `${r.label} ${Math.round(r.chance * 100)}`).join(', ')}`}
            className="block"
          >
            {ticks.map((t) => (
              <g key={t}>
                <path d={`M${x(logit(t))} 0V${height - 22}`} stroke="var(--line)" />
                <text x={x(logit(t))} y={height - 6} textAnchor="middle" className="fill-muted!">
                  {Math.round(t * 100)}
                </text>
              </g>
            ))}
            <text x="0" y={height - 6} className="fill-muted!">
              {what}
            </text>
            {ladder.map((rung, k) => {
              const now = x(logit(clamp(rung.chance)));
              const before = ladder[k - 1];
              const y = k * rowHeight + 11;
              const was = before === undefined ? now : x(logit(clamp(before.chance)));
              const night = nights[k];
              return (
                <g key={`${rung.label}${k}`}>
                  <text x="0" y={y + 4}>
                    {shorten(rung.label, left - 48)}
                    {night !== undefined && <tspan className="fill-muted"> {shortDate(night)}</tspan>}
                  </text>
                  <path
                    d={`M${was} ${y}H${now}`}
                    stroke={now < was ? 'var(--muted)' : 'var(--hush)'}
                    strokeWidth="3"
                  />
                  {k > 0 && <path d={`M${was} ${y - rowHeight}V${y}`} stroke="var(--edge)" />}
                  <circle
                    cx={now}
                    cy={y}
                    r={k === ladder.length - 1 ? 4.5 : 3.2}
                    fill={k === ladder.length - 1 ? 'var(--hush)' : 'var(--ink)'}
                  />
                </g>
              );
            })}
          </svg>
        );
      }}
    </Measured>
  );
}

const shorten = (text: string, width: number) => {
  const most = Math.floor(width / 6.1);
  return text.length > most ? `${text.slice(0, most - 1).trimEnd()}…` : text;
};

function SignList({ animal }: { animal: AnimalView }) {
  const { evidence } = animal.reading.value;
  return evidence.length === 0 ? null : (
    <ul className="text-13">
      {evidence.map((e) => (
        <li key={e.signId} className="border-t border-line py-1">
          {e.label}, {shortDate(e.night)}
        </li>
      ))}
    </ul>
  );
}
