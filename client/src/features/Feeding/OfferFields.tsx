import { Select } from '../../ui/Select';
import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { useRulebook } from '../Rulebook/queries';
import { Check, Choice } from '../../ui/Field';

import type { ActOf } from '../Journal/entryForm';
import { VialGrid } from '../Trays/VialGrid';

const outcomes: readonly (readonly [Schemas['OfferOutcome'], string])[] = [
  ['eaten', 'Eaten'],
  ['takenLater', 'Taken later'],
  ['battedAway', 'Batted it away'],
  ['fled', 'Fled from it'],
  ['killedAndLeft', 'Killed and left it'],
  ['notSeen', 'Not seen'],
  ['stillEating', 'Still eating'],
  ['seenToCatch', 'Seen to catch it'],
  ['foundUneaten', 'Found whole, taken out'],
];

const preparations: readonly (readonly [Schemas['Preparation'], string])[] = [
  ['live', 'Live'],
  ['preKilled', 'Pre-killed'],
  ['cut', 'Cut'],
  ['fresh', 'As it is'],
];

const sizeText = (size: Schemas['FeederClass']) =>
  size.lengthMm === null
    ? 'as it is'
    : `${size.name} ${size.lengthMm.value.low}–${size.lengthMm.value.high} mm`.trim();

interface OfferProps {
  act: ActOf<'offered'>;
  change: (act: ActOf<'offered'>) => void;
  number: (label: string, field: string) => ReactNode;
  error: (field: string) => string | undefined;
  /** Numbered vials of a brood; none for one animal. */
  vials: readonly number[] | null;
}

/** What was offered, how it was served and what came of it. */
export function OfferFields({ act, change, number, error, vials }: OfferProps) {
  const feeders = useRulebook().data?.feeders ?? [];
  const classes = feeders.find((f) => f.id === act.feederId)?.classes ?? [];
  const eaten = act.outcome === 'eaten' || act.outcome === 'takenLater';
  const stays = act.leftIn ?? (act.outcome === 'notSeen' || act.outcome === 'killedAndLeft');
  return (
    <>
      <div className="grid grid-cols-[1fr_1fr_72px] gap-3">
        <Select
          label="Feeder"
          error={error('feederId')}
          options={feeders.map((feeder) => [feeder.id, feeder.name] as const)}
          value={act.feederId}
          onChange={(feederId) => {
            const feeder = feeders.find((f) => f.id === feederId);
            change({ ...act, feederId, sizeClassId: feeder?.classes[0]?.id ?? '' });
          }}
        />
        <Select
          label="Size"
          error={error('sizeClassId')}
          options={classes.map((size) => [size.id, sizeText(size)] as const)}
          value={act.sizeClassId}
          onChange={(sizeClassId) => change({ ...act, sizeClassId })}
        />
        {number('How many', 'count')}
      </div>
      <Choice
        label="Served"
        options={preparations}
        value={act.preparation}
        onChange={(preparation) => change({ ...act, preparation })}
      />
      <Choice
        label="What came of it"
        options={outcomes}
        value={act.outcome}
        onChange={(outcome) => change({ ...act, outcome, leftIn: null, untaken: null })}
      />
      {eaten && vials !== null && (
        <VialGrid
          vials={vials}
          chosen={act.untaken ?? []}
          legend="Tap those that left it"
          means="left its food"
          onChange={(untaken) => change({ ...act, untaken: untaken.length === 0 ? null : untaken })}
          error={error('untaken')}
        />
      )}
      {!eaten && (
        <Check label="It is still in there" value={stays} onChange={(leftIn) => change({ ...act, leftIn })} />
      )}
    </>
  );
}
