import { scaleLinear } from 'd3-scale';
import type { AnimalView, Schemas } from '../../api/client';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { Measured } from '../../ui/Measured';

type Fit = Schemas['PreyFit'];
type Option = Fit['options'][number];

const rowHeight = 19;
const bodyHeight = 74;

/** The animal's body and every near feeder class over one ruler, in true proportion. */
export function PreyGauge({ animal, fit, unit }: { animal: AnimalView; fit: Fit; unit: LengthUnit }) {
  const options = nearest(fit);
  const height = bodyHeight + 30 + options.length * rowHeight;
  return (
    <Measured height={height}>
      {(width) => (
        <Gauge
          fit={fit}
          options={options}
          width={width}
          height={height}
          unit={unit}
          name={animal.details.nickname}
        />
      )}
    </Measured>
  );
}

/** The classes worth a look, nearest to the limit: some that fit whole, some that must be cut, in order of size. */
function nearest(fit: Fit): Option[] {
  const near = (verdict: Option['verdict'], most: number) =>
    fit.options
      .filter((o) => o.verdict === verdict)
      .sort((a, b) => Math.abs(a.maxMm - fit.maxPreyMm) - Math.abs(b.maxMm - fit.maxPreyMm))
      .slice(0, most);
  const whole = near('fits', 4);
  return [...whole, ...near('cut', 6 - whole.length)].sort((a, b) => a.maxMm - b.maxMm);
}

interface GaugeProps {
  fit: Fit;
  options: Option[];
  width: number;
  height: number;
  unit: LengthUnit;
  name: string;
}

function Gauge({ fit, options, width, height, unit, name }: GaugeProps) {
  const longest = Math.max(fit.bodyMm * 1.05, ...options.map((o) => o.maxMm));
  const x = scaleLinear([0, longest * 1.02], [2, width * 0.5]);
  const axis = bodyHeight + 2;
  const limit = x(fit.maxPreyMm);
  const ticks = x.ticks(5);
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`${name}: body ${fromMm(fit.bodyMm, unit)} ${unit}, prey up to ${fromMm(fit.maxPreyMm, unit)} ${unit}. ${options
        .map((o) => `${o.name} ${verdictText(o)}`)
        .join(', ')}`}
      className="block overflow-visible"
    >
      <Body from={x(0)} length={x(fit.bodyMm) - x(0)} />
      <path d={`M${x(0)} ${axis}H${x(longest * 1.02)}`} stroke="var(--edge)" />
      {ticks.map((tick) => (
        <g key={tick}>
          <path d={`M${x(tick)} ${axis}v5`} stroke="var(--edge)" />
          {Math.abs(x(tick) - limit) > 16 && (
            <text x={x(tick)} y={axis + 18} textAnchor="middle" className="fill-muted!">
              {fromMm(tick, unit)}
            </text>
          )}
        </g>
      ))}
      <text x={limit} y={axis + 18} textAnchor="middle" fontWeight="650">
        {fromMm(fit.maxPreyMm, unit)}
      </text>
      <text x={x(longest * 1.02) + 6} y={axis + 18} className="fill-muted!">
        {unit}
      </text>
      <path d={`M${limit} ${axis + 22}V${height}`} stroke="var(--ink)" strokeDasharray="2 3" />
      {options.map((option, k) => {
        const y = axis + 28 + k * rowHeight;
        const fits = option.verdict === 'fits';
        return (
          <g key={`${option.feederId}${option.sizeClassId}`}>
            <rect
              x={x(option.minMm)}
              y={y}
              width={Math.max(6, x(option.maxMm) - x(option.minMm))}
              height="10"
              rx="5"
              fill={fits ? 'var(--lampmark)' : 'none'}
              stroke={fits ? 'var(--lampmark)' : 'var(--muted)'}
              strokeWidth="1.2"
            />
            <text x={width * 0.5 + 16} y={y + 9}>
              {option.name}
              <tspan className="fill-muted"> {verdictText(option)}</tspan>
            </text>
          </g>
        );
      })}
    </svg>
  );
}

function verdictText(option: Option): string {
  switch (option.verdict) {
    case 'fits':
      return option.count === 1 ? 'fits' : `× ${option.count}`;
    case 'cut':
      return `cut in ${option.pieces}`;
    case 'too-large':
      return 'too large';
    case 'too-small':
      return 'too small';
  }
}

/** A spider from the side, head to the right: abdomen and carapace together are as long as the body is. */
function Body({ from, length }: { from: number; length: number }) {
  const carapace = length * 0.44;
  const neck = from + length - carapace;
  const abdomen = neck - from;
  const ground = bodyHeight;
  const high = Math.min(30, abdomen * 0.42);
  const chest = ground - Math.min(18, carapace * 0.34);
  // Root, knee and foot of each leg as shares of the carapace, from the hindmost to the foremost.
  const legs: [number, number, number][] = [
    [0.2, -0.35, -0.6],
    [0.35, 0, -0.1],
    [0.55, 0.75, 1.0],
    [0.7, 1.15, 1.5],
  ];
  return (
    <g>
      {legs.map(([root, knee, foot]) => (
        <path
          key={root}
          d={`M${neck + carapace * root} ${chest}L${neck + carapace * knee} ${chest - high * 0.95}L${neck + carapace * foot} ${ground}`}
          fill="none"
          stroke="var(--muted)"
          strokeWidth={Math.max(1.2, Math.min(3, carapace * 0.05))}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
      <ellipse cx={from + abdomen / 2} cy={ground - high - 5} rx={abdomen / 2} ry={high} fill="var(--ink)" />
      <ellipse
        cx={neck + carapace / 2}
        cy={chest - 1}
        rx={carapace / 2}
        ry={Math.min(12, carapace * 0.24)}
        fill="var(--ink)"
      />
    </g>
  );
}
