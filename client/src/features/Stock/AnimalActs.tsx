import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { AnimalView } from '../../api/client';
import { useKeys } from '../../ui/useKeys';
import { ElseMenu } from '../Journal/ElseMenu';
import { isHushed, type LogOffer, useOffers } from '../Journal/OfferDialogs';

/** The acts at the head of an animal's page, as its stage of life has them. What is hushed asks once. */
export function AnimalActs({ animal }: { animal: AnimalView }) {
  const [more, setMore] = useState(false);
  const { pick, dialogs } = useOffers(animal.stockId, animal.details.nickname, animal);
  const { head } = animal.log;
  useKeys({
    ...Object.fromEntries(head.map((offer) => [offer.key, () => pick(offer)])),
    e: () => setMore(true),
  });
  const feed = head.find((offer) => offer.form === 'offered');
  const button = (offer: LogOffer) => {
    const hushed = isHushed(animal, offer);
    return (
      <button
        key={offer.key}
        type="button"
        className={`act ${hushed ? 'act-hushed' : offer === feed ? 'act-first' : ''}`}
        onClick={() => pick(offer)}
      >
        <kbd>{offer.key.toUpperCase()}</kbd>
        {hushed ? `${offer.label}: hushed` : offer.label}
      </button>
    );
  };
  return (
    <>
      {head.filter((offer) => offer !== feed).map(button)}
      <ElseMenu
        stockId={animal.stockId}
        name={animal.details.nickname}
        open={more}
        onOpenChange={setMore}
        trigger={
          <Button>
            <kbd>E</kbd>Something else
          </Button>
        }
      />
      {feed !== undefined && button(feed)}
      {dialogs}
    </>
  );
}
