import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import type { AnimalView, Schemas } from '../../api/client';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { Measured } from '../../ui/Measured';
import { FigureMarks } from '../Animals/AnimalFigure';
import { lying } from '../Animals/figure';
import { figureOfAnimal } from '../Animals/figureOfAnimal';

type Fit = Schemas['PreyFit'];
type Option = Fit['options'][number];

const rowHeight = 19;
/** The animal lies over the ruler in this height, legs and all. */
const bodyHeight = 128;

/** Mean width of a letter at the size of labels. */
const letter = 6;

/** The animal's body and every near feeder class over one ruler, in true proportion. */
export function PreyGauge({ animal, fit, unit }: { animal: AnimalView; fit: Fit; unit: LengthUnit }) {
  const options = nearest(fit);
  const height = bodyHeight + 30 + options.length * rowHeight;
  return (
    <Measured height={height}>
      {(width) => (
        <Gauge fit={fit} options={options} width={width} height={height} unit={unit} animal={animal} />
      )}
    </Measured>
  );
}

/** What suits the stage, nearest to the limit: some that fit whole, some that must be cut, in order of size. */
function nearest(fit: Fit): Option[] {
  const near = (verdict: Option['verdict'], most: number) =>
    fit.options
      .filter((o) => o.verdict === verdict && o.onMenu)
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
  animal: AnimalView;
}

function Gauge({ fit, options, width, height, unit, animal }: GaugeProps) {
  const longest = Math.max(fit.bodyMm * 1.05, ...options.map((o) => o.maxMm));
  // The drawing gives way to the longest name beside it, but never more than to a third of the width.
  const words = Math.max(0, ...options.map((o) => (o.name.length + verdictText(o).length + 1) * letter));
  const drawn = Math.max(width * 0.34, Math.min(width * 0.5, width - words - 18));
  const mask = useId();
  const figure = lying(figureOfAnimal(animal));
  const bodyUnits = figure.head - figure.tail;
  const before = figure.tail - figure.left;
  // As large as the height and the width allow, in one scale for the animal and its prey.
  const perUnit = Math.min(
    bodyHeight / (figure.bottom - figure.top),
    drawn / (figure.right - figure.left),
    drawn / (before + (bodyUnits * longest * 1.02) / fit.bodyMm),
  );
  const start = before * perUnit;
  const x = scaleLinear([0, fit.bodyMm], [start, start + bodyUnits * perUnit]);
  const axis = bodyHeight + 2;
  const limit = x(fit.maxPreyMm);
  const ticks = scaleLinear([0, longest], [0, 1]).ticks(4);
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`${animal.details.nickname}: body ${fromMm(fit.bodyMm, unit)} ${unit}, prey up to ${fromMm(fit.maxPreyMm, unit)} ${unit}. ${options
        .map((o) => `${o.name} ${verdictText(o)}`)
        .join(', ')}`}
      className="block overflow-visible"
    >
      <mask id={mask} maskUnits="userSpaceOnUse" x="-30" y="-10" width={drawn + 60} height={bodyHeight + 20}>
        <radialGradient id={`${mask}fade`}>
          <stop offset="0.78" stopColor="white" />
          <stop offset="1" stopColor="white" stopOpacity="0" />
        </radialGradient>
        {figure.figure.near === undefined ? (
          <rect x="-30" y="-10" width={drawn + 60} height={bodyHeight + 20} fill="white" />
        ) : (
          <ellipse
            cx={start + (bodyUnits * perUnit) / 2}
            cy={bodyHeight - figure.bottom * perUnit}
            rx={bodyUnits * perUnit * 0.72}
            ry={bodyHeight * 0.56}
            fill={`url(#${mask}fade)`}
          />
        )}
      </mask>
      <g mask={`url(#${mask})`}>
        <g
          transform={`translate(${start - figure.tail * perUnit} ${bodyHeight - figure.bottom * perUnit}) scale(${perUnit}) ${figure.turn}`}
        >
          <FigureMarks figure={figure.figure} />
        </g>
      </g>
      <path d={`M${x(0)} ${axis}H${x(longest * 1.02)}`} stroke="var(--edge)" />
      {ticks.map((tick) => (
        <g key={tick}>
          <path d={`M${x(tick)} ${axis}v5`} stroke="var(--edge)" />
          {Math.abs(x(tick) - limit) > 24 && (
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
            <text x={drawn + 16} y={y + 9}>
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
