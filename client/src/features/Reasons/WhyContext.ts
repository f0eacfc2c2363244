import { createContext, use } from 'react';
import type { Reason, Schemas } from '../../api/client';

/** A judgement to be explained. */
export interface Why {
  title: string;
  place: string;
  name: string;
  species: string;
  /** The animal, for changing a rule for it. */
  stockId: string;
  summary: string;
  reasons: readonly Reason[];
  /** The next molt, drawn beside the reason that speaks of it. */
  molt?: Schemas['VigilForecast'] | null;
}

export interface WhyControl {
  why: Why | null;
  show: (why: Why) => void;
  toggle: (why: Why) => void;
  hide: () => void;
}

export const WhyContext = createContext<WhyControl | null>(null);

/** The drawer that answers why. */
export function useWhy(): WhyControl {
  const control = use(WhyContext);
  if (control === null) {
    throw new Error('The why drawer is not on this page.');
  }
  return control;
}
