import type { ReactNode } from 'react';

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

/** Eight legs of a spider seen from above; `spread` turns them from drawn in to wide. */
function legs(cx: number, cy: number, spread: number, skip = -1): ReactNode {
  return [-1, 1].flatMap((side) =>
    [-1.05, -0.38, 0.28, 0.95].map((slope, k) => {
      const knee = [cx + side * 20 * spread, cy + slope * 22 * spread - 6 * spread];
      const foot = [cx + side * 38 * spread, cy + slope * 40 * spread];
      return (side === 1 ? k + 4 : k) === skip ? (
        <path
          key={`${side}${k}`}
          d={`M${cx + side * 6} ${cy + slope * 4}l${side * 5} ${slope * 4}`}
          stroke="var(--ember)"
          strokeWidth="5"
        />
      ) : (
        <path
          key={`${side}${k}`}
          d={`M${cx + side * 6} ${cy + slope * 4}L${knee[0]} ${knee[1]}L${foot[0]} ${foot[1]}`}
        />
      );
    }),
  );
}

function spider(
  spread: number,
  options: { skip?: number; abdomen?: ReactNode; pale?: boolean } = {},
): ReactNode {
  const body = options.pale === true ? { fill: 'var(--bg)' } : { fill: 'var(--raised)' };
  return (
    <>
      {legs(80, 42, spread, options.skip)}
      <ellipse cx="80" cy="40" rx="10" ry="12" {...body} />
      {options.abdomen ?? <ellipse cx="80" cy="67" rx="14" ry="18" {...body} />}
    </>
  );
}

/** One animal of each group from above or from the side, drawn plainly. */
const figures: Record<string, ReactNode> = {
  scorpion: (
    <>
      <path d="M72 52q-26 8-34-4l-12-2m12 2-8 10M88 52q26 8 34-4l12-2m-12 2 8 10" />
      <ellipse cx="80" cy="58" rx="13" ry="16" fill="var(--raised)" />
      <path d="M66 62l-16 10M68 68l-14 14M94 62l16 10M92 68l14 14" />
      <path d="M80 42q0-30 22-30 12 2 8 14" />
    </>
  ),
  mantis: (
    <>
      <path d="M34 78h40" strokeWidth="9" stroke="var(--line)" />
      <path d="M30 78q22-10 46-6l26-32" />
      <path d="M30 78q22 8 46-6" />
      <path d="M98 44l-16 6 14 10M102 40l-6-8 12-4 4 8Z" fill="var(--raised)" />
      <path d="M62 76l-6 14M76 74l4 16M50 78l-8 12" />
    </>
  ),
  'hermit-crab': (
    <>
      <path
        d="M60 80q-24-2-22-26t30-22q24 2 22 24-2 18-18 18-14 0-14-13 0-9 9-9 7 0 7 7"
        fill="var(--raised)"
      />
      <path d="M84 70q10 8 20 6l12-8m-12 8 10 6M88 78l14 12M78 82l6 8M92 60l14-10" />
      <circle cx="108" cy="48" r="2" fill="currentColor" />
    </>
  ),
  moth: (
    <>
      <path d="M32 74q10-18 22 0t22 0 22 0 20-6" strokeWidth="13" stroke="var(--line)" />
      <path d="M28 74q12-26 26-6t22 0 22 0 20-10M32 82q12-10 22-2t22 0 22 0 24-4" />
      <circle cx="120" cy="70" r="7" fill="var(--raised)" />
    </>
  ),
  isopod: (
    <>
      <path d="M34 74q4-34 46-34t46 34Z" fill="var(--raised)" />
      <path d="M50 50l-4 24M64 43v31M80 40v34M96 43v31M110 50l4 24M126 70l12-8M44 76l-4 8M62 76v9M80 76v9M98 76v9" />
    </>
  ),
  beetle: (
    <>
      <ellipse cx="80" cy="60" rx="18" ry="26" fill="var(--raised)" />
      <path d="M80 36v50M68 34q12-16 24 0M74 24l-6-10M86 24l6-10M64 46 46 38M62 60H42M64 74l-16 10M96 46l18-8M98 60h20M96 74l16 10" />
    </>
  ),
};

/** What can be seen in any group, drawn on an animal of that group. */
function anyGroup(name: string, group: string): ReactNode {
  const figure = figures[group] ?? spider(0.82);
  switch (name) {
    case 'stuck':
      return (
        <>
          <g transform="translate(12 8) scale(0.85)">{figure}</g>
          <path d="M34 22q46-30 92 0l8 36q-6 20-16 34M34 22l-8 36q6 20 16 34" strokeDasharray="4 4" />
        </>
      );
    case 'pale':
      return (
        <>
          <g strokeWidth="1.2">{figure}</g>
          <path d="M122 90q10-14 24-10l-4 10Z" fill="var(--line)" />
          {ground}
        </>
      );
    case 'lost-leg':
      return (
        <>
          {figures[group] === undefined ? spider(0.95, { skip: 2 }) : figure}
          {figures[group] !== undefined && (
            <path d="M50 82l10 10m0-10-10 10" stroke="var(--ember)" strokeWidth="3.5" />
          )}
        </>
      );
    default:
      return (
        <>
          <g transform="translate(-14 6) scale(0.86)">{figure}</g>
          <ellipse cx="134" cy="78" rx="10" ry="5" fill="var(--raised)" />
          <path d="M144 76l7-5M126 74l-5-7M129 83l-3 5M138 83l3 5" strokeWidth="1.6" />
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

/** An ant seen from the side, her feet at the origin. */
function ant(x: number, y: number, size: number, color = 'var(--raised)'): ReactNode {
  return (
    <g transform={`translate(${x} ${y}) scale(${size})`} fill={color}>
      <path d="M-8-8l-7 8M-4-8v8M0-8l7 8" strokeWidth={1.6 / size} fill="none" />
      <ellipse cx="-19" cy="-10" rx="11" ry="7" />
      <ellipse cx="-3" cy="-11" rx="7" ry="5" />
      <circle cx="9" cy="-13" r="4.6" />
      <path d="M12-16l6-6m-4 5 8-1" strokeWidth={1.4 / size} fill="none" />
    </g>
  );
}

const drawings: Record<string, ReactNode> = {
  'queen-tube': (
    <>
      {tube}
      {ant(92, 77, 1)}
      <path d="M112 73h14" strokeDasharray="2 4" strokeWidth="3" />
    </>
  ),
  'queen-still': (
    <>
      {tube}
      <g transform="translate(0 134) scale(1 -1)">{ant(96, 76, 1)}</g>
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
      <g transform="rotate(180 80 48)">{spider(0.95)}</g>
      <path d="M76 60v8m8-8v8M74 44h12" />
    </>
  ),
  'spider-curled': (
    <>
      {spider(0.42)}
      {ground}
    </>
  ),
  'spider-shrivelled': spider(0.9, {
    abdomen: <path d="M70 58q10-6 20 0l3 8-4 5 1 6q-10 6-20 0l1-6-4-5Z" fill="var(--raised)" />,
  }),
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
  'spider-patch': spider(0.95, {
    abdomen: (
      <>
        <ellipse cx="80" cy="67" rx="14" ry="18" fill="var(--raised)" />
        <path d="M71 72q9-8 18 0-2 10-9 12-7-2-9-12" {...fill} />
      </>
    ),
  }),
};
