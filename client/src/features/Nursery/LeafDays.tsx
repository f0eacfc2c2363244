/** Leaf of each day ahead as a small hill: when it peaks, and when it is over. */
export function LeafDays({ grams }: { grams: readonly number[] }) {
  const [width, height] = [220, 26];
  const most = Math.max(...grams);
  if (most <= 0) {
    return null;
  }
  const each = width / grams.length;
  const peak = grams.indexOf(most);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`The next ${grams.length} days; the most, ${most.toFixed(1)} g, in ${peak} days`}
      className="mt-1 block h-6.5 w-full max-w-[220px]"
    >
      {grams.map((g, k) => (
        <rect
          key={k}
          x={k * each}
          width={Math.max(0.6, each - 0.6)}
          y={height - 2 - ((height - 4) * g) / most}
          height={Math.max(0.4, ((height - 4) * g) / most)}
          fill="var(--moss)"
        />
      ))}
      <path d={`M0 ${height - 1}H${width}`} stroke="var(--edge)" />
    </svg>
  );
}
