import { Button } from '../../ui/Button';
import { useState } from 'react';
import { useIsPhone } from '../../ui/useMedia';
import type { AnimalView } from '../../api/client';
import { keyOf } from '../../commands/catalogue';
import { type Command, useCommands } from '../../commands/useCommands';
import { ElseMenu } from '../Journal/ElseMenu';
import { isHushed, type LogOffer, useOffers } from '../Journal/OfferDialogs';

/** The acts at the head of an animal's page, as its stage of life has them. What is hushed asks once. */
export function AnimalActs({ animal }: { animal: AnimalView }) {
  const [more, setMore] = useState(false);
  const phone = useIsPhone();
  const { pick, dialogs } = useOffers(animal.stockId, animal.details.nickname, animal);
  const { head } = animal.log;
  useCommands([
    ...head.map((offer): Command => ({
      key: offer.key,
      title: `${animal.details.nickname}: ${offer.label}`,
      section: 'On an animal’s page',
      run: () => pick(offer),
    })),
    { id: 'animal.more', run: () => setMore(true) },
  ]);
  const feed = head.find((offer) => offer.form === 'offered');
  const button = (offer: LogOffer) => {
    const hushed = isHushed(animal, offer);
    return (
      <Button
        key={offer.key}
        kind={hushed ? 'hushed' : offer === feed ? 'first' : 'usual'}
        letter={offer.key}
        onClick={() => pick(offer)}
      >
        {hushed ? `${offer.label}: hushed` : offer.label}
      </Button>
    );
  };
  // At the right end of a wide head, and first where the acts wrap under a thumb.
  const main = feed !== undefined && button(feed);
  return (
    <>
      {phone && main}
      {head.filter((offer) => offer !== feed).map(button)}
      <ElseMenu
        stockId={animal.stockId}
        name={animal.details.nickname}
        open={more}
        onOpenChange={setMore}
        trigger={<Button letter={keyOf('animal.more')}>Something else</Button>}
      />
      {!phone && main}
      {dialogs}
    </>
  );
}
