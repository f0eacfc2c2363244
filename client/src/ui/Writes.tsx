import type { ReactNode } from 'react';
import { useMayWrite } from './mayWrite';

interface Props {
  children: ReactNode;
  /** It is the owner's alone. */
  ownersOnly?: boolean;
  /** What stands there for the others. */
  instead?: ReactNode;
}

/** What only those see who may write. */
export const Writes = ({ children, ownersOnly = false, instead = null }: Props) =>
  useMayWrite(ownersOnly) ? children : instead;
