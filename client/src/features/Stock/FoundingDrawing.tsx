const bodies = [
  {
    kind: 'claustral',
    word: 'Large thorax, full abdomen: she founds on her reserves.',
    thorax: [62, 13],
    abdomen: [108, 19],
  },
  {
    kind: 'semiClaustral',
    word: 'Thorax no wider than the head, small abdomen: she must be fed.',
    thorax: [60, 7.5],
    abdomen: [98, 12],
  },
] as const;

/** Two queens from above, for whoever does not know how the species founds. Source: common practice; drawn from memory. */
export function FoundingDrawing() {
  return (
    <div className="mt-2 grid grid-cols-2 gap-4 max-sm:grid-cols-1">
      {bodies.map(({ kind, word, thorax, abdomen }) => (
        <figure key={kind}>
          <svg viewBox="0 0 140 44" role="img" aria-label={word} className="block w-full max-w-[200px]">
            <g fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.4}>
              <ellipse cx={24} cy={22} rx={10} ry={9} />
              <ellipse cx={thorax[0] - 10} cy={22} rx={19} ry={thorax[1]} />
              <ellipse cx={80} cy={22} rx={4} ry={3.4} />
              <ellipse cx={abdomen[0]} cy={22} rx={abdomen[0] - 86} ry={abdomen[1]} />
            </g>
            <g fill="none" stroke="var(--ink)" strokeWidth={1.2} strokeLinecap="round">
              <path d="M17 16 8 8M17 28l-9 8" />
              <path d="M40 14 30 4M52 10 52 2M62 14 72 4M40 30 30 40M52 34 52 42M62 30 72 40" />
            </g>
          </svg>
          <figcaption className="mt-1 text-13 text-soft">{word}</figcaption>
        </figure>
      ))}
    </div>
  );
}
