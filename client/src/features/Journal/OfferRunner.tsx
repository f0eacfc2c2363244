import { useEffect, useEffectEvent, useRef } from 'react';
import { useAnimal } from '../Stock/queries';
import { type LogOffer, useOffers } from './OfferDialogs';

/** Something to log of an animal that was named from elsewhere than its page. */
export interface RunningOffer {
  stockId: string;
  offer: LogOffer;
}

/** Logs an offer at once, or opens its form or its question, over whatever page is open. */
export function OfferRunner({ running, onDone }: { running: RunningOffer; onDone: () => void }) {
  const animal = useAnimal(running.stockId).data;
  const { pick, dialogs, isOpen } = useOffers(running.stockId, animal?.details.nickname ?? '', animal);
  const stands = useRef<'new' | 'picked' | 'open'>('new');
  const follow = useEffectEvent(() => {
    if (animal === undefined) {
      return;
    }
    if (stands.current === 'new') {
      stands.current = 'picked';
      pick(running.offer);
    }
    if (isOpen) {
      stands.current = 'open';
    } else if (stands.current === 'open' || running.offer.form === null) {
      onDone();
    }
  });
  useEffect(() => follow(), [animal, isOpen]);
  return dialogs;
}
