import type { ReactNode } from 'react';

interface GuideDrawingProps {
  name: string;
  className?: string;
}

/** Our own drawings of what a worried keeper sees. The words beside them say the same. */
export function GuideDrawing({ name, className = '' }: GuideDrawingProps) {
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
      {drawings[name] ?? drawings['not-eating']}
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

const drawings: Record<string, ReactNode> = {
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
  stuck: (
    <>
      {spider(0.7)}
      <path d="M52 22q28-16 56 0l8 34q-8 14-12 30M52 22l-8 34q6 12 12 30" strokeDasharray="4 4" />
    </>
  ),
  pale: (
    <>
      <g strokeWidth="1.3">{spider(0.95, { pale: true })}</g>
      <path d="M118 84q10-14 24-10l-4 10Z" fill="var(--line)" />
      {ground}
    </>
  ),
  'not-eating': (
    <>
      <g transform="translate(-26 0)">{spider(0.72)}</g>
      <ellipse cx="124" cy="76" rx="12" ry="6" fill="var(--raised)" />
      <path d="M136 74l8-6M114 72l-6-8M118 82l-4 6M128 82l4 6" strokeWidth="1.6" />
      {ground}
    </>
  ),
  'lost-leg': spider(0.95, { skip: 2 }),
  'spider-patch': spider(0.95, {
    abdomen: (
      <>
        <ellipse cx="80" cy="67" rx="14" ry="18" fill="var(--raised)" />
        <path d="M71 72q9-8 18 0-2 10-9 12-7-2-9-12" {...fill} />
      </>
    ),
  }),
};
