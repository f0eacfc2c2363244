import type { ReactNode } from 'react';

interface StatProps {
  label: string;
  /** The value in words, with its unit. */
  children: ReactNode;
  /** Why it is so, as a button. */
  why?: ReactNode;
  note?: ReactNode;
}

/** One figure with its unit, what it is, and why. */
export function Stat({ label, children, why, note }: StatProps) {
  return (
    <div className="stat">
      <dt className="text-13 text-muted">{label}</dt>
      <dd>
        <b className="font-semibold">{children}</b> {why}
        {note !== undefined && <span className="block text-12 text-muted">{note}</span>}
      </dd>
    </div>
  );
}
