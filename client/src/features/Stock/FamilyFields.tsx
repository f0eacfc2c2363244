import { useState } from 'react';
import type { StockDetails } from '../../api/client';
import { TextField } from '../../ui/Field';
import { AnimalField } from './AnimalField';

interface Props {
  details: StockDetails;
  set: (changed: Partial<StockDetails>) => void;
  error: (field: string) => string | undefined;
}

/** Tags, and the parents as far as they are or were in the room. */
export function FamilyFields({ details, set, error }: Props) {
  const [tags, setTags] = useState((details.tags ?? []).join(', '));
  return (
    <section className="grid gap-4 border-t border-line pt-4 sm:grid-cols-3">
      <TextField
        label="Tags"
        hint="Your own words, parted by commas: for sale, shy"
        error={error('tags')}
        value={tags}
        onChange={(text) => {
          setTags(text);
          const words = text
            .split(',')
            .map((word) => word.trim())
            .filter((word) => word !== '');
          set({ tags: words.length === 0 ? null : words });
        }}
      />
      <AnimalField
        label="Mother"
        id={details.motherId ?? null}
        not="male"
        onChange={(motherId) => set({ motherId })}
      />
      <AnimalField
        label="Father"
        id={details.fatherId ?? null}
        not="female"
        onChange={(fatherId) => set({ fatherId })}
      />
      <WildFields details={details} set={set} error={error} />
      {details.kind === 'specimen' && <BorrowedFields details={details} set={set} error={error} />}
    </section>
  );
}

/** Where it was found, when it was taken from the wild; without a place it was not. */
function WildFields({ details, set, error }: Props) {
  const wild = details.wild ?? null;
  const change = (changed: Partial<NonNullable<typeof wild>>) => {
    const next = { place: '', host: null, permit: null, ...wild, ...changed };
    set({ wild: next.place === '' ? null : next });
  };
  return (
    <>
      <TextField
        label="Found outside at"
        hint="Only what was taken from the wild: the place"
        error={error('wild.place') ?? error('wild')}
        value={wild?.place ?? ''}
        onChange={(place) => change({ place })}
      />
      {wild !== null && (
        <>
          <TextField
            label="On which plant"
            hint="The plant of a larva or eggs; may stay empty"
            error={error('wild.host')}
            value={wild.host ?? ''}
            onChange={(host) => change({ host: host === '' ? null : host })}
          />
          <TextField
            label="Why that was lawful"
            hint="A permit, or that none is needed"
            error={error('wild.permit')}
            value={wild.permit ?? ''}
            onChange={(permit) => change({ permit: permit === '' ? null : permit })}
          />
        </>
      )}
    </>
  );
}

/** Whose it is, when it is only here for a time; without an owner it is the keeper's. */
function BorrowedFields({ details, set, error }: Props) {
  const borrowed = details.borrowed ?? null;
  const change = (changed: Partial<NonNullable<typeof borrowed>>) => {
    const next = { owner: '', backBy: null, share: null, ...borrowed, ...changed };
    set({ borrowed: next.owner === '' ? null : next });
  };
  return (
    <>
      <TextField
        label="Borrowed from"
        hint="Whose it is; empty when it is yours"
        error={error('borrowed.owner')}
        value={borrowed?.owner ?? ''}
        onChange={(owner) => change({ owner })}
      />
      {borrowed !== null && (
        <>
          <TextField
            label="Goes back by"
            hint="The round asks for it then"
            error={error('borrowed.backBy')}
            type="date"
            value={borrowed.backBy ?? ''}
            onChange={(backBy) => change({ backBy: backBy === '' ? null : backBy })}
          />
          <TextField
            label="Agreed of the offspring"
            error={error('borrowed.share')}
            value={borrowed.share ?? ''}
            onChange={(share) => change({ share: share === '' ? null : share })}
          />
        </>
      )}
    </>
  );
}
