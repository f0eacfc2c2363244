import type { ReactNode } from 'react';
import { Writes } from './Writes';

/** A page that is all writing: who reads here is told so, and where to go. */
export const WritersPage = ({ children }: { children: ReactNode }) => (
  <Writes
    instead={
      <p className="px-6 py-10 text-muted max-sm:px-4">
        You read here. Whoever keeps this room writes on this page; everything it holds stands on the others.
      </p>
    }
  >
    {children}
  </Writes>
);
