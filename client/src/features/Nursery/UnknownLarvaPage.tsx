import { Writes } from '../../ui/Writes';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { TextField } from '../../ui/Field';
import { PageTitle } from '../../ui/PageTitle';
import { LarvaDrawing } from './LarvaDrawing';
import { larvaLooks, lookWord } from './larvaLooks';
import { useLarvaGuess } from './queries';

type Look = Schemas['LarvaLook'];

/** A larva that nobody knows: its plant, what is seen of it, and what of the rulebook it may be. */
export function UnknownLarvaPage() {
  const [plant, setPlant] = useState('');
  const [seen, setSeen] = useState<readonly Look[]>([]);
  const named = plant.trim();
  const guesses = useLarvaGuess(named, seen);
  const toggle = (look: Look) =>
    setSeen((looks) => (looks.includes(look) ? looks.filter((l) => l !== look) : [...looks, look]));
  return (
    <div className="mx-auto w-full max-w-[980px] px-6 pt-4 pb-10 max-sm:px-4">
      <PageTitle>A larva you do not know</PageTitle>
      <h1 className="page-title">What may it be?</h1>
      <p className="max-w-[72ch] text-muted">
        Feed it the plant it sat on, and no other. What stands here is a guess among the kinds of the
        rulebook: rear it through, and confirm or change it when the adult is out.
      </p>
      <div className="mt-4 max-w-[420px]">
        <TextField
          label="The plant it was found on"
          hint="Empty when it sat on none"
          value={plant}
          onChange={setPlant}
        />
      </div>
      <fieldset className="mt-4">
        <legend className="text-13 font-semibold">What is seen of it</legend>
        <div className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(136px,1fr))] gap-2">
          {larvaLooks.map((look) => (
            <label
              key={look}
              className="flex min-h-11 cursor-pointer flex-col items-center rounded-sm border border-edge p-2 text-center text-13 has-checked:border-lampmark has-checked:bg-raised has-focus-visible:outline-2"
            >
              <input
                type="checkbox"
                className="sr-only"
                checked={seen.includes(look)}
                onChange={() => toggle(look)}
              />
              <LarvaDrawing look={look} />
              {lookWord[look]}
            </label>
          ))}
        </div>
      </fieldset>
      <section aria-labelledby="guesses" aria-live="polite" className="mt-5">
        <h2 id="guesses" className="text-18">
          It may be
        </h2>
        {named === '' && seen.length === 0 ? (
          <p className="py-1 text-muted">Name the plant or tick what you see.</p>
        ) : guesses.isError ? (
          <p className="py-1 text-ember">{guesses.error.message}</p>
        ) : guesses.data === undefined ? (
          <p className="py-1 text-muted">Looking…</p>
        ) : guesses.data.length === 0 ? (
          <p className="py-1">
            None of the rulebook fits. Keep it under its plant’s name and rear it through;{' '}
            <Link to="/stock/new" className="linkish">
              add it as another species
            </Link>
            .
          </p>
        ) : (
          <ul>
            {guesses.data.map((g, k) => (
              <Guess key={g.speciesId} guess={g} first={k === 0} plant={named} />
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}

function Guess({ guess, first, plant }: { guess: Schemas['LarvaGuess']; first: boolean; plant: string }) {
  const words = (looks: readonly Look[]) => looks.map((l) => lookWord[l].toLowerCase()).join(', ');
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-t border-line py-2">
      <i className={`min-w-52 ${first ? 'font-semibold' : ''}`}>{guess.name}</i>
      <span className="min-w-0 flex-1 basis-72 text-13 text-soft">
        {guess.eatsIt === true && `takes ${plant}; `}
        {guess.eatsIt === false && <span className="text-ember">is not known to take {plant}; </span>}
        {guess.fits.length > 0 && `fits: ${words(guess.fits)}`}
        {guess.against.length > 0 && (
          <span className="block text-muted">against it: {words(guess.against)}</span>
        )}
      </span>
      <Writes>
        <Link to={`/stock/new?guess=${guess.speciesId}`} className="act px-3">
          Take it as this for now<span className="sr-only">: {guess.name}</span>
        </Link>
      </Writes>
    </li>
  );
}
