interface BodyProps {
  group: string;
  from: number;
  length: number;
  ground: number;
}

/** The predator from the side, head to the right; what counts as its body is as long as the body is. */
export function GaugeBody({ group, from, length, ground }: BodyProps) {
  switch (group) {
    case 'scorpion':
      return <Scorpion from={from} length={length} ground={ground} />;
    case 'mantis':
      return <Mantis from={from} length={length} ground={ground} />;
    case 'beetle':
      return <Beetle from={from} length={length} ground={ground} />;
    default:
      return <Spider from={from} length={length} ground={ground} />;
  }
}

type Shape = Omit<BodyProps, 'group'>;

/** Root, knee and foot of each leg as shares of a length, bent over the body. */
function Legs({
  at,
  length,
  chest,
  ground,
  rise,
  legs,
}: {
  at: number;
  length: number;
  chest: number;
  ground: number;
  rise: number;
  legs: readonly (readonly [number, number, number])[];
}) {
  return legs.map(([root, knee, foot]) => (
    <path
      key={root}
      d={`M${at + length * root} ${chest}L${at + length * knee} ${chest - rise}L${at + length * foot} ${ground}`}
      fill="none"
      stroke="var(--muted)"
      strokeWidth={Math.max(1.2, Math.min(3, length * 0.04))}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  ));
}

function Spider({ from, length, ground }: Shape) {
  const carapace = length * 0.44;
  const neck = from + length - carapace;
  const abdomen = neck - from;
  const high = Math.min(30, abdomen * 0.42);
  const chest = ground - Math.min(18, carapace * 0.34);
  return (
    <g>
      <Legs
        at={neck}
        length={carapace}
        chest={chest}
        ground={ground}
        rise={high * 0.95}
        legs={[
          [0.2, -0.35, -0.6],
          [0.35, 0, -0.1],
          [0.55, 0.75, 1.0],
          [0.7, 1.15, 1.5],
        ]}
      />
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

/** Trunk without the tail, which stands over it and is not counted. */
function Scorpion({ from, length, ground }: Shape) {
  const high = Math.min(11, length * 0.13);
  const chest = ground - high - 5;
  const tail = Math.min(46, length * 0.6);
  return (
    <g>
      <path
        d={`M${from + 3} ${chest}q${-tail * 0.16} ${-tail * 0.9} ${tail * 0.42} ${-tail}l${tail * 0.22} ${tail * 0.14}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={Math.max(2, high * 0.55)}
        strokeLinecap="round"
      />
      <Legs
        at={from}
        length={length}
        chest={chest}
        ground={ground}
        rise={high * 0.7}
        legs={[
          [0.5, 0.38, 0.3],
          [0.6, 0.54, 0.48],
          [0.7, 0.7, 0.68],
          [0.8, 0.88, 0.9],
        ]}
      />
      <ellipse cx={from + length / 2} cy={chest} rx={length / 2} ry={high} fill="var(--ink)" />
      <path
        d={`M${from + length * 0.94} ${chest}l${length * 0.14} ${-high * 0.8}l${length * 0.13} ${high * 0.9}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={Math.max(2, high * 0.5)}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </g>
  );
}

/** Abdomen, long thorax, head: with the foreleg folded before it. */
function Mantis({ from, length, ground }: Shape) {
  const high = Math.min(9, length * 0.09);
  const rump = ground - 14;
  const neck = from + length * 0.56;
  const head = from + length;
  const top = ground - Math.min(46, length * 0.3) - 12;
  return (
    <g>
      <Legs
        at={from}
        length={length}
        chest={rump - 2}
        ground={ground}
        rise={high * 2}
        legs={[
          [0.46, 0.3, 0.2],
          [0.54, 0.6, 0.66],
        ]}
      />
      <ellipse cx={from + length * 0.28} cy={rump} rx={length * 0.28} ry={high} fill="var(--ink)" />
      <path
        d={`M${neck - 4} ${rump - 2}L${head - 8} ${top}`}
        stroke="var(--ink)"
        strokeWidth={Math.max(3, high * 0.8)}
        strokeLinecap="round"
      />
      <path d={`M${head - 12} ${top - 4}h12l-6 9Z`} fill="var(--ink)" />
      <path
        d={`M${head - 10} ${top + 5}l${length * 0.06} ${length * 0.12}l${length * 0.1} ${-length * 0.09}`}
        fill="none"
        stroke="var(--muted)"
        strokeWidth="3"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </g>
  );
}

function Beetle({ from, length, ground }: Shape) {
  const high = Math.min(20, length * 0.22);
  const chest = ground - 9;
  return (
    <g>
      <Legs
        at={from}
        length={length}
        chest={chest}
        ground={ground}
        rise={4}
        legs={[
          [0.35, 0.24, 0.14],
          [0.55, 0.5, 0.46],
          [0.75, 0.84, 0.92],
        ]}
      />
      <path
        d={`M${from} ${chest}q${length * 0.06} ${-high * 1.5} ${length * 0.4} ${-high * 1.4}q${length * 0.22} 0 ${length * 0.24} ${high * 1.4}Z`}
        fill="var(--ink)"
      />
      <path
        d={`M${from + length * 0.65} ${chest}q0 ${-high * 0.9} ${length * 0.1} ${-high * 0.85}q${length * 0.1} 0 ${length * 0.12} ${high * 0.85}Z`}
        fill="var(--ink)"
      />
      <ellipse
        cx={from + length * 0.93}
        cy={chest - 3}
        rx={length * 0.07}
        ry={Math.min(6, high * 0.4)}
        fill="var(--ink)"
      />
    </g>
  );
}
