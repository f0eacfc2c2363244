import { createContext, use } from 'react';
import type { AnimalView, Reason, Schemas } from '../../api/client';

/** An animal as the drawer names it. */
export interface WhyAnimal {
  stockId: string;
  place: string;
  name: string;
  species: string;
}

/** An animal's page asks about its animal. */
export const whyAnimal = (animal: AnimalView): WhyAnimal => ({
  stockId: animal.stockId,
  place: animal.place,
  name: animal.details.nickname,
  species: animal.species,
});

/** A judgement to be explained. */
export interface Why {
  title: string;
  /** The animal that was judged, and for which a rule can be changed; none where the room itself was. */
  animal: WhyAnimal | null;
  summary: string;
  reasons: readonly Reason[];
  /** Whether summary and reasons are those of its line of the round and are fetched when asked for. */
  ofLine?: boolean;
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
