import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useAnimal } from '../Stock/queries';
import { MenuItem, menuClass, menuPadding, pickByLetter } from '../../ui/Menu';
import { type LogOffer, useOffers } from './OfferDialogs';

interface ElseMenuProps {
  stockId: string;
  name: string;
  trigger: ReactNode;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}

/** Everything else that can be logged of an animal, as its stage of life has it. */
export function ElseMenu({ stockId, name, trigger, open, onOpenChange }: ElseMenuProps) {
  const navigate = useNavigate();
  const animal = useAnimal(stockId, open).data;
  const { pick, dialogs } = useOffers(stockId, name, animal);
  const line = (offer: LogOffer) => (
    <MenuItem key={offer.key} letter={offer.key} onSelect={() => pick(offer)}>
      {offer.label}
    </MenuItem>
  );
  return (
    <>
      <DropdownMenu.Root open={open} onOpenChange={onOpenChange} modal={false}>
        <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="start"
            sideOffset={4}
            collisionPadding={menuPadding}
            className={menuClass}
            onKeyDown={pickByLetter}
          >
            {animal === undefined ? (
              <p className="px-3 py-2 text-muted">One moment…</p>
            ) : (
              <>
                {animal.log.atOnce.map(line)}
                {animal.log.found.map(line)}
                <DropdownMenu.Separator className="my-1 border-t border-line" />
                {animal.log.forms.map(line)}
                <MenuItem letter="p" onSelect={() => void navigate(`/stock/${stockId}/pictures`)}>
                  Pictures…
                </MenuItem>
                <DropdownMenu.Separator className="my-1 border-t border-line" />
                <MenuItem letter="h" onSelect={() => void navigate(`/stock/${stockId}/edit`)}>
                  Change details…
                </MenuItem>
                {animal.departure === null && (
                  <MenuItem letter="q" onSelect={() => pick(leaves)}>
                    Leaves the collection…
                  </MenuItem>
                )}
              </>
            )}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {dialogs}
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
