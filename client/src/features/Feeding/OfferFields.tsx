import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { useRulebook } from '../Rulebook/queries';
import { Check, Choice, Field } from '../../ui/Field';

import type { ActOf } from '../Journal/entryForm';
import { VialGrid } from './VialGrid';

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

interface OfferProps {
  act: ActOf<'offered'>;
  change: (act: ActOf<'offered'>) => void;
  number: (label: string, field: string) => ReactNode;
  error: (field: string) => string | undefined;
  /** Numbered vials of a brood; none for one animal. */
  vials: number | null;
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
        <Field label="Feeder" error={error('feederId')}>
          {(p) => (
            <select
              {...p}
              className="field"
              value={act.feederId}
              onChange={(e) => {
                const feeder = feeders.find((f) => f.id === e.target.value);
                change({ ...act, feederId: e.target.value, sizeClassId: feeder?.classes[0]?.id ?? '' });
              }}
            >
              {feeders.map((feeder) => (
                <option key={feeder.id} value={feeder.id}>
                  {feeder.name}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Size" error={error('sizeClassId')}>
          {(p) => (
            <select
              {...p}
              className="field"
              value={act.sizeClassId}
              onChange={(e) => change({ ...act, sizeClassId: e.target.value })}
            >
              {classes.map((size) => (
                <option key={size.id} value={size.id}>
                  {size.lengthMm === null
                    ? 'as it is'
                    : `${size.name} ${size.lengthMm.value.low}–${size.lengthMm.value.high} mm`.trim()}
                </option>
              ))}
            </select>
          )}
        </Field>
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
          count={vials}
          untaken={act.untaken ?? []}
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
