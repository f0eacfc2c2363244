import { scaleLinear, scaleLog } from 'd3-scale';
import type { AnimalView, Schemas } from '../../api/client';
import { fromDays, monthName, shortDate, toDays } from '../../ui/dates';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { Measured } from '../../ui/Measured';
import { partWord } from '../Stock/words';

type Step = Schemas['LifeStep'];
type Drawn = Step & { lengthMm: number };

const height = 206;
const top = 34;
const floor = 150;

/** The life of an animal: size as steps, molts as risers, meals and refusals beneath each step. */
export function LifelineDrawing({ animal, unit }: { animal: AnimalView; unit: LengthUnit }) {
  const { lifeline } = animal;
  const steps = lifeline.steps.filter((s): s is Drawn => s.lengthMm !== null);
  return (
    <figure className="min-w-0">
      <figcaption className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-18">Life so far</h2>
        {steps.length > 0 && <Key part={`${partWord[lifeline.part]}, ${unit}`} />}
      </figcaption>
      {steps.length === 0 ? (
        <p className="py-2 text-muted">Measure {animal.them} once and the steps of growth are drawn here.</p>
      ) : (
        <Measured height={height} savedAs={`life of ${animal.details.nickname}`}>
          {(width) => <Life animal={animal} steps={steps} width={width} unit={unit} />}
        </Measured>
      )}
    </figure>
  );
}

function Key({ part }: { part: string }) {
  return (
    <p className="flex items-center gap-4 text-12 text-muted">
      <span>{part}</span>
      <span className="flex items-center gap-1.5">
        <svg width="8" height="8" aria-hidden="true">
          <circle cx="4" cy="4" r="2.4" fill="var(--muted)" />
        </svg>
        meal
      </span>
      <span className="flex items-center gap-1.5">
        <svg width="8" height="8" aria-hidden="true">
          <circle cx="4" cy="4" r="2.6" fill="none" stroke="var(--ink)" strokeWidth="1.2" />
        </svg>
        not taken
      </span>
    </p>
  );
}

interface LifeProps {
  animal: AnimalView;
  steps: Drawn[];
  width: number;
  unit: LengthUnit;
}

function Life({ animal, steps, width, unit }: LifeProps) {
  const first = toDays(steps[0]?.from ?? animal.tonight);
  const last = toDays(animal.tonight);
  const x = scaleLinear([first, Math.max(last, first + 1)], [34, width - 5]);
  const sizes = steps.map((s) => s.lengthMm);
  const y = scaleLog([Math.min(...sizes) * 0.85, Math.max(...sizes) * 1.12], [floor, top]);
  const at = (night: string) => {
    const day = toDays(night);
    return steps.find((s) => day >= toDays(s.from) && (s.to === null || day < toDays(s.to)));
  };
  const many = animal.lifeline.meals.length > 60;
  const ticks = y
    .ticks(4)
    .filter((t) => y(t) >= top && y(t) <= floor)
    .filter((t, k, all) => all.slice(k + 1).every((higher) => y(t) - y(higher) > 15) || k === all.length - 1);
  const hidden = (animal.growth.value?.skins ?? []).flatMap((skin) =>
    skin.ratioToNext?.hidesAMolt === true ? [skin.ratioToNext.toInstar] : [],
  );
  const label = `From ${shortDate(animal.lifeline.steps[0]?.from ?? animal.tonight)}: ${steps
    .map(
      (s) =>
        `${s.instar === null ? '' : `${animal.instarMark}${s.instar} `}${fromMm(s.lengthMm, unit)} ${unit}`,
    )
    .join(', ')}`;
  return (
    <svg width={width} height={height} role="img" aria-label={label} className="block overflow-visible">
      {ticks.map((tick) => (
        <g key={tick}>
          <path d={`M34 ${y(tick)}H${width}`} stroke="var(--line)" />
          <text x="28" y={y(tick) + 4} textAnchor="end" className="fill-muted!">
            {fromMm(tick, unit)}
          </text>
        </g>
      ))}
      {animal.lifeline.meals.map((night, k) => {
        const step = at(night);
        return (
          step && (
            <circle
              key={`${night}${k}`}
              cx={x(toDays(night))}
              cy={y(step.lengthMm) + 9}
              r={many ? 1.3 : 1.8}
              fill="var(--muted)"
            />
          )
        );
      })}
      {animal.lifeline.refusals.map((night, k) => {
        const step = at(night);
        return (
          step && (
            <circle
              key={`${night}${k}`}
              cx={x(toDays(night))}
              cy={y(step.lengthMm) + 9}
              r="2.1"
              fill="var(--bg)"
              stroke="var(--ink)"
              strokeWidth="1.2"
            />
          )
        );
      })}
      {steps.map((step, k) => {
        const [x1, x2] = [x(toDays(step.from)), x(toDays(step.to ?? animal.tonight))];
        const next = steps[k + 1];
        const nights = toDays(step.to ?? animal.tonight) - toDays(step.from);
        const roomy = x2 - x1 > 44;
        return (
          <g key={step.from}>
            <path
              d={`M${x1} ${y(step.lengthMm)}H${x2}`}
              stroke="var(--ink)"
              strokeWidth="2.5"
              strokeDasharray={step.isEstimate ? '4 3' : undefined}
            />
            {next !== undefined && (
              <path
                d={`M${x2} ${y(step.lengthMm)}V${y(next.lengthMm)}`}
                stroke="var(--ink)"
                strokeWidth="1.2"
              />
            )}
            {roomy && (
              <text x={x1 + 2} y={y(step.lengthMm) - 7}>
                {step.instar !== null && (
                  <tspan className="fill-muted">{`${animal.instarMark}${step.instar} `}</tspan>
                )}
                <tspan fontWeight="650">
                  {step.isEstimate ? '~' : ''}
                  {fromMm(step.lengthMm, unit)}
                </tspan>
              </text>
            )}
            {hidden.includes(drawnInstar(animal, step, k)) && (
              <text x={x1 + 6} y={y(step.lengthMm) + 26} className="fill-lamptext!" fontWeight="650">
                two molts here?
              </text>
            )}
            {k > 0 && <path d={`M${x1} 160v10`} stroke="var(--edge)" />}
            {roomy && (
              <text x={(x1 + x2) / 2} y="170" textAnchor="middle" className="fill-muted!">
                {step.to === null && x2 - x1 > 100 ? `${nights} nights so far` : nights}
              </text>
            )}
          </g>
        );
      })}
      <path d={`M34 178H${width}`} stroke="var(--edge)" />
      {months(first, last, width).map(({ day, text }) => (
        <g key={day}>
          <path d={`M${x(day)} 178v5`} stroke="var(--edge)" />
          <text x={x(day)} y="196" textAnchor="middle" className="fill-muted!">
            {text}
          </text>
        </g>
      ))}
      <path d={`M${x(last)} 24V182`} stroke="var(--lampmark)" strokeWidth="2" />
    </svg>
  );
}

/** The number by which the growth record knows a step: its instar, or its place since arrival. */
const drawnInstar = (animal: AnimalView, step: Drawn, k: number) =>
  animal.growth.value?.instarsAreKnown === true && step.instar !== null ? step.instar : k + 1;

/** First days of months that fit as labels, with the year at the first and each January. */
function months(first: number, last: number, width: number): { day: number; text: string }[] {
  const all: { day: number; text: string }[] = [];
  for (let day = Math.ceil(first); day <= last; day++) {
    const night = fromDays(day);
    if (night.endsWith('-01')) {
      const named = all.length === 0 || night.slice(5, 7) === '01';
      all.push({ day, text: named ? `${monthName(night)} ${night.slice(0, 4)}` : monthName(night) });
    }
  }
  const every = Math.max(1, Math.ceil(all.length / Math.max(1, Math.floor(width / 90))));
  return all.filter((_, k) => k % every === 0);
}
