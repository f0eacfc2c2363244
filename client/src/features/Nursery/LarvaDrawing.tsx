import type { Schemas } from '../../api/client';

type Look = Schemas['LarvaLook'];

/** Middles of the segments of the drawn larva. */
const segments = [16, 28, 40, 52, 64, 76, 88];

/** The colour of the animal itself, the same in every look of the screen. */
const fill: Partial<Record<Look, string>> = {
  green: '#7f9f63',
  black: '#1b1714',
  pale: '#efe9dc',
};

/** A larva from its side, with the one thing drawn that is asked for. */
export function LarvaDrawing({ look }: { look: Look }) {
  const colour = fill[look];
  return (
    <svg viewBox="0 0 110 44" aria-hidden="true" className="h-11 w-full max-w-[110px]">
      <g fill={colour ?? 'var(--raised)'} stroke="var(--muted)" strokeWidth="1">
        {segments.map((x) => (
          <ellipse key={x} cx={x} cy="26" rx="8" ry="9" />
        ))}
        <circle cx="98" cy="27" r="6.5" />
      </g>
      <g fill="none" stroke="var(--lampmark)" strokeWidth="1.6" strokeLinecap="round">
        {look === 'tailHorn' && <path d="M12 19C10 12 7 8 3 6" />}
        {look === 'scentFork' && <path d="M94 20C94 14 90 10 88 6M96 20C97 14 101 10 103 6" />}
        {segments.map((x) => (
          <path key={x} d={detail(look, x)} />
        ))}
        {look === 'warts' &&
          segments.map((x) => <circle key={x} cx={x} cy="18" r="1.8" fill="var(--lampmark)" />)}
      </g>
    </svg>
  );
}

/** What one segment bears. */
function detail(look: Look, x: number): string {
  switch (look) {
    case 'spines':
      return `M${x} 17V7M${x} 11L${x - 3} 8M${x} 11L${x + 3} 8`;
    case 'warts':
      return `M${x} 16L${x - 2} 11M${x} 16L${x + 2} 11`;
    case 'fleshyPegs':
      return `M${x - 2} 18C${x - 2} 12 ${x + 2} 12 ${x + 2} 18`;
    case 'hairy':
      return `M${x - 4} 18L${x - 6} 8M${x} 17V6M${x + 4} 18L${x + 6} 8M${x - 3} 34L${x - 5} 42M${x + 3} 34L${x + 5} 42`;
    case 'banded':
      return `M${x} 17V35`;
    case 'slantStripes':
      return `M${x - 4} 32L${x + 5} 20`;
    case 'inWeb':
      return `M${x - 8} 6L${x + 8} 40M${x + 8} 6L${x - 8} 40`;
    case 'tailHorn':
    case 'smooth':
    case 'green':
    case 'black':
    case 'pale':
    case 'scentFork':
      return '';
  }
}
