interface LanternProps {
  /** Closed shutters: 0 open, 1 suspected, 2 likely, 3 hushed. */
  shutters: number;
  /** Whether something is due: the wick burns. */
  lit?: boolean;
  className?: string;
}

/** The phase mark. It always stands beside its word, so it is hidden from screen readers. */
export function Lantern({ shutters, lit = false, className = 'size-6' }: LanternProps) {
  return (
    <svg
      viewBox="0 0 24 24"
      aria-hidden="true"
      className={`block flex-none ${shutters > 0 ? 'text-hush' : 'text-ink'} ${className}`}
    >
      <LanternShape shutters={shutters} lit={lit} />
    </svg>
  );
}

/** The drawing alone, for use inside larger drawings. */
export function LanternShape({ shutters, lit }: { shutters: number; lit: boolean }) {
  const middle =
    shutters < 3
      ? null
      : lit
        ? 'M10.5 8.3C9.95 9.7 9.65 11.2 9.55 12.7h4.9C14.35 11.2 14.05 9.7 13.5 8.3Z'
        : 'M10.5 8.3C9.15 11.5 9.15 17.2 10.5 20.6h3C14.85 17.2 14.85 11.5 13.5 8.3Z';
  return (
    <>
      <g fill="none" stroke="currentColor" strokeLinejoin="round" strokeLinecap="round">
        <circle cx="12" cy="2.5" r="1.6" strokeWidth="1.4" />
        <path d="M9.4 4.7h5.2L20 8.2H4Z" fill="currentColor" strokeWidth="1" />
        <path d="M5.9 8.6C3.1 11.6 3.1 17 5.9 20.2M18.1 8.6C20.9 11.6 20.9 17 18.1 20.2" strokeWidth="1.4" />
        <path d="M4.6 20.6h14.8v2H4.6Z" fill="currentColor" strokeWidth="1" />
      </g>
      {shutters >= 1 && (
        <path fill="currentColor" d="M5.7 8.3C2.6 11.5 2.6 17.2 5.7 20.6H9.2C7.6 17.2 7.6 11.5 9.2 8.3Z" />
      )}
      {shutters >= 2 && (
        <path
          fill="currentColor"
          d="M18.3 8.3C21.4 11.5 21.4 17.2 18.3 20.6H14.8C16.4 17.2 16.4 11.5 14.8 8.3Z"
        />
      )}
      {middle && <path fill="currentColor" d={middle} />}
      {lit && <circle cx="12" cy="16.2" r="2.15" fill="var(--lampmark)" />}
    </>
  );
}
