interface Props {
  /** Mean of each day in turn, °C; none where nothing was read. */
  meansC: readonly (number | null)[];
  belowC: number;
}

/** Every day of a winter as one thin mark: cold, too warm (longer) or not read (a dot). */
export function DayStrip({ meansC, belowC }: Props) {
  const width = 220;
  const each = width / meansC.length;
  const cold = meansC.filter((c) => c !== null && c <= belowC).length;
  const unread = meansC.filter((c) => c === null).length;
  return (
    <svg
      viewBox={`0 0 ${width} 14`}
      role="img"
      aria-label={`${cold} days at or below ${belowC} °C, ${meansC.length - cold - unread} warmer, ${unread} not read`}
      className="mt-1 block h-3.5 w-full max-w-[220px]"
    >
      {meansC.map((c, k) => (
        <rect
          key={k}
          x={k * each}
          width={Math.max(0.6, each - 0.3)}
          y={c === null ? 6 : c <= belowC ? 3 : 0}
          height={c === null ? 2 : c <= belowC ? 8 : 14}
          fill={c === null ? 'var(--edge)' : c <= belowC ? 'var(--moss)' : 'var(--ember)'}
        />
      ))}
    </svg>
  );
}
