import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { AnimalView } from '../../api/client';
import { TakePictureItem } from '../Growth/TakePicture';
import { useAnimal } from '../Stock/queries';
import { Menu, MenuItem, MenuRule } from '../../ui/Menu';
import { type LogOffer, useOffers } from './OfferDialogs';

/** Everything else that can be logged of an animal, as its stage of life has it. */
export interface Else {
  stockId: string;
  animal: AnimalView | undefined;
  pick: (offer: LogOffer) => void;
  dialogs: ReactNode;
}

/** Asks for it once it is wanted. */
export function useElse(stockId: string, name: string, wanted: boolean): Else {
  const animal = useAnimal(stockId, wanted).data;
  return { stockId, animal, ...useOffers(stockId, name, animal) };
}

interface ElseMenuProps {
  stockId: string;
  name: string;
  trigger: ReactNode;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}

/** The menu of everything else. */
export function ElseMenu({ stockId, name, trigger, open, onOpenChange }: ElseMenuProps) {
  const more = useElse(stockId, name, open);
  return (
    <>
      <Menu trigger={trigger} open={open} onOpenChange={onOpenChange}>
        <ElseItems more={more} />
      </Menu>
      {more.dialogs}
    </>
  );
}

interface ElseItemsProps {
  more: Else;
  /** What stands above already. */
  taken?: readonly string[];
}

/** The lines of the menu. */
export function ElseItems({ more: { stockId, animal, pick }, taken = [] }: ElseItemsProps) {
  const navigate = useNavigate();
  if (animal === undefined) {
    return <p className="px-3 py-2 text-muted">One moment…</p>;
  }
  const lines = (offers: readonly LogOffer[]) =>
    offers
      .filter((offer) => !taken.includes(offer.label))
      .map((offer) => (
        <MenuItem key={offer.key} letter={offer.key} onSelect={() => pick(offer)}>
          {offer.label}
        </MenuItem>
      ));
  return (
    <>
      {lines(animal.log.atOnce)}
      {lines(animal.log.found)}
      <MenuRule />
      {lines(animal.log.forms)}
      <TakePictureItem animal={animal} />
      <MenuItem letter="p" onSelect={() => void navigate(`/stock/${stockId}/pictures`)}>
        Pictures…
      </MenuItem>
      <MenuRule />
      <MenuItem letter="h" onSelect={() => void navigate(`/stock/${stockId}/edit`)}>
        Change details…
      </MenuItem>
      {animal.departure === null && (
        <MenuItem letter="q" onSelect={() => pick(leaves)}>
          Leaves the collection…
        </MenuItem>
      )}
    </>
  );
}

const leaves: LogOffer = {
  key: 'q',
  label: 'Leaves the collection…',
  acts: [],
  form: 'departed',
  care: null,
};
