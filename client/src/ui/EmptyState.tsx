import type { ReactNode } from 'react';
import { Lantern } from './Lantern';

interface EmptyStateProps {
  title: string;
  /** What will stand here, and what brings it. */
  text: ReactNode;
  /** What to do now. */
  children?: ReactNode;
}

/** Where nothing stands yet: why, and what to do about it. */
export function EmptyState({ title, text, children }: EmptyStateProps) {
  return (
    <div className="mx-auto max-w-md px-6 py-14 text-center">
      <Lantern shutters={0} className="mx-auto mb-3 size-10 opacity-60" />
      <p className="font-display text-22">{title}</p>
      <p className="mt-2 text-muted">{text}</p>
      {children !== undefined && <div className="mt-5 flex flex-wrap justify-center gap-2">{children}</div>}
    </div>
  );
}
