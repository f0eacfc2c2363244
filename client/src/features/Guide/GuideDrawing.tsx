import type { ReactNode } from 'react';
import { FigureMarks } from '../Animals/AnimalFigure';
import { type Figure, figureOf, type FigureOf } from '../Animals/figure';

interface GuideDrawingProps {
  name: string;
  /** The group, for what looks otherwise in each. */
  group: string;
  className?: string;
}

/** Our own drawings of what a worried keeper sees. The words beside them say the same. */
export function GuideDrawing({ name, group, className = '' }: GuideDrawingProps) {
  return (
    <svg
      viewBox="0 0 160 100"
      aria-hidden="true"
      className={className}
      fill="none"
      stroke="currentColor"
      strokeWidth="2.4"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {drawings[name] ?? anyGroup(name, group)}
    </svg>
  );
}

const fill = { fill: 'currentColor', stroke: 'none' } as const;
const ground = <path d="M8 88H152" strokeWidth="1.4" strokeDasharray="1 5" />;

/** An animal of the set, its middle at a point and as high as is said. */
function placed(figure: Figure, x: number, y: number, height: number, turn = 0): ReactNode {
  const [left, top, right, bottom] = figure.box;
  const size = Math.min(height / (bottom - top), 1.6 * (height / (right - left)));
  return (
    <g
      stroke="none"
      transform={`translate(${x} ${y}) rotate(${turn}) scale(${size.toFixed(3)}) translate(${-(left + right) / 2} ${-(top + bottom) / 2})`}
    >
      <FigureMarks figure={figure} />
    </g>
  );
}

/** A spider from above in the middle of the picture; its legs drawn in or spread. */
const spider = (build: Partial<FigureOf> = {}, turn = 0): ReactNode =>
  placed(figureOf({ group: 'tarantula', stage: 'juvenile', ...build }), 80, 47, 84, turn);

/** Where the abdomen of that spider lies. */
const abdomen = { x: 80, y: 61 };

/** What can be seen in any group, drawn on an animal of that group. */
function anyGroup(name: string, group: string): ReactNode {
  const figure = (build: Partial<FigureOf> = {}) => figureOf({ group, stage: 'juvenile', ...build });
  switch (name) {
    case 'stuck':
      return (
        <>
          {placed(figure({ legs: 0.8 }), 80, 52, 62)}
          <path d="M34 22q46-30 92 0l8 36q-6 20-16 34M34 22l-8 36q6 20 16 34" strokeDasharray="4 4" />
        </>
      );
    case 'pale':
      return (
        <>
          <g opacity="0.45">{placed(figure(), 66, 46, 80)}</g>
          <path d="M122 90q10-14 24-10l-4 10Z" fill="var(--line)" />
          {ground}
        </>
      );
    case 'lost-leg':
      return group === 'tarantula' || group === 'jumping-spider' || group === 'scorpion' ? (
        <>
          {placed(figure({ lost: 2 }), 80, 50, 88)}
          <circle cx="62" cy="52" r="7" stroke="var(--ember)" />
        </>
      ) : (
        <>
          {placed(figure(), 80, 50, 80)}
          <path d="M50 78l10 10m0-10-10 10" stroke="var(--ember)" strokeWidth="3.5" />
        </>
      );
    default:
      return (
        <>
          {placed(figure(), 62, 46, 76)}
          {placed(figureOf({ group: 'isopod', stage: 'adult' }), 134, 74, 22, 90)}
          {ground}
        </>
      );
  }
}

/** A test tube on its side: water behind cotton to the left, a plug to the right. */
const tube = (
  <>
    <path d="M16 36h132M16 78h132M16 36q-12 21 0 42" />
    <path d="M16 40h26v34H16q-9-17 0-34" fill="var(--line)" stroke="none" />
    <path d="M46 36q-6 10 0 21t0 21M56 36q6 10 0 21t0 21" strokeWidth="1.6" />
    <path d="M136 36q-6 10 0 21t0 21M148 36v42" strokeWidth="1.6" />
  </>
);

/** An ant seen from the side, her feet at a point, her head to the right. */
const ant = (x: number, y: number, size: number, queen = false): ReactNode => (
  <g stroke="none" transform={`translate(${x} ${y}) scale(${-size * 0.38} ${size * 0.38}) translate(0 -44)`}>
    <FigureMarks figure={figureOf({ group: 'ant', stage: 'adult', queen })} />
  </g>
);

const drawings: Record<string, ReactNode> = {
  'queen-tube': (
    <>
      {tube}
      {ant(92, 77, 1, true)}
      <path d="M112 73h14" strokeDasharray="2 4" strokeWidth="3" />
    </>
  ),
  'queen-still': (
    <>
      {tube}
      <g transform="translate(0 134) scale(1 -1)">{ant(96, 76, 1, true)}</g>
    </>
  ),
  'workers-plug': (
    <>
      {tube}
      {ant(74, 77, 0.5)}
      <g transform="translate(0 150) scale(1 -1)">{ant(96, 82, 0.5)}</g>
      <g transform="rotate(-90 126 60)">{ant(126, 66, 0.5)}</g>
      <g transform="translate(0 150) scale(1 -1)">{ant(116, 82, 0.5)}</g>
    </>
  ),
  'spider-back': (
    <>
      <path d="M28 78q52 14 104 0" strokeDasharray="3 4" strokeWidth="1.4" />
      {spider({}, 180)}
      <path d="M72 34h16M74 40h12M76 46h8" stroke="var(--bg)" strokeWidth="1.6" />
    </>
  ),
  'spider-curled': (
    <>
      {placed(figureOf({ group: 'tarantula', stage: 'juvenile', legs: 0.45 }), 80, 52, 62)}
      {ground}
    </>
  ),
  'spider-shrivelled': (
    <>
      {spider({ abdomen: 0.5 })}
      <path
        d={`M${abdomen.x - 4} ${abdomen.y - 4}l3 4-3 4M${abdomen.x + 4} ${abdomen.y - 2}l-3 4 3 4`}
        stroke="var(--bg)"
        strokeWidth="1.4"
      />
    </>
  ),
  'spider-sealed': (
    <>
      <path d="M20 90V60q0-40 60-40t60 40v30" fill="var(--raised)" />
      <path d="M52 90V72q0-20 28-20t28 20v18" />
      <path d="M54 60l52 26M106 60 54 86M80 52v36M52 74h56" strokeWidth="1.2" />
    </>
  ),
  'crab-buried': (
    <>
      <path d="M10 40h44q26 10 52 0h44" />
      <path d="M80 60q16 0 18 14t-16 14-22-10 4-18 16 0" fill="var(--raised)" />
      <path d="M80 66q8 1 9 8t-8 6M62 84l-10 6M66 88l-6 6" />
      <g {...fill}>
        {[24, 44, 118, 136, 30, 128].map((x, k) => (
          <circle key={x} cx={x} cy={52 + ((k * 17) % 38)} r="1.6" />
        ))}
      </g>
    </>
  ),
  'scorpion-burrow': (
    <>
      <path d="M8 34h40q6 0 10 8l14 26q4 8 12 8h36q10 0 10 8" />
      <path d="M152 34H84q-8 0-6 8l8 18" />
      <ellipse cx="104" cy="70" rx="14" ry="7" fill="var(--raised)" />
      <path d="M118 70q12-2 12-12t-8-8M90 66l-8-6m8 14-8 4" />
    </>
  ),
  'mantis-hanging': (
    <>
      <path d="M16 12h128" strokeWidth="4" />
      <path d="M66 14l8 16M94 14l-8 16M62 14l10 34M98 14 88 48" />
      <path d="M80 26v26" strokeWidth="7" />
      <path d="M80 52l-2 28" strokeWidth="4" />
      <path d="M72 86l6-8 8 0 5 8q-9 7-19 0" fill="var(--raised)" />
      <path d="M78 62l-14 10 8 8M80 62l14 10-8 8" />
    </>
  ),
  'larva-hanging': (
    <>
      <path d="M16 14h128" strokeWidth="4" />
      <path d="M70 16q2 26 10 44t20 16q10-2 8-14" strokeWidth="11" stroke="var(--line)" />
      <path d="M64 16q0 30 12 52t28 18q14-4 12-22M76 16q2 22 10 38t14 14" />
      <path d="M68 34l9-3M74 52l10-6M86 70l9-8" strokeWidth="1.4" />
    </>
  ),
  'spider-patch': (
    <>
      {spider({ abdomen: 1.15 })}
      <ellipse
        cx={abdomen.x}
        cy={abdomen.y}
        rx="5.5"
        ry="6.5"
        fill="var(--muted)"
        stroke="var(--bg)"
        strokeWidth="1.2"
      />
    </>
  ),
};
