import { Writes } from '../../ui/Writes';
import { PageTitle } from '../../ui/PageTitle';
import { FilePick } from '../../ui/FilePick';
import { useState } from 'react';
import { Link } from 'react-router';
import { Refusal, refusalOf, type RulebookView, type Schemas } from '../../api/client';
import { fits } from '../../commands/paletteWords';
import { Button } from '../../ui/Button';
import { useAddSpecies, useGiveUpOverride, useOverrides, useRulebook } from './queries';
import { FormError } from '../../ui/Field';
import { Waiting } from '../../ui/Waiting';

/** Every group and species that the rulebook knows. */
export function RulebookPage() {
  return (
    <Waiting query={useRulebook()} what="The rulebook">
      {(rules) => <Contents rules={rules} />}
    </Waiting>
  );
}

function Contents({ rules }: { rules: RulebookView }) {
  const [compared, setCompared] = useState<readonly string[]>([]);
  const take = (id: string) =>
    setCompared((c) => (c.includes(id) ? c.filter((other) => other !== id) : [...c.slice(-1), id]));
  const [a, b] = compared;
  const [asked, setAsked] = useState('');
  const groups = rules.groups.filter(
    (group) =>
      fits(group.name, asked) ||
      rules.species.some((s) => s.group === group.id && fits(s.scientificName, asked)),
  );
  return (
    <div className="px-6 pt-4 pb-10 max-sm:px-4">
      <header className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <PageTitle>Rulebook</PageTitle>
          <h1 className="page-title">Rulebook</h1>
          <p className="max-w-[70ch] text-muted">
            What every judgement rests on: {rules.species.length} species in {rules.groups.length} groups,
            each value with its source. Tick two species to compare them.
          </p>
        </div>
        <div className="flex flex-wrap items-center gap-2">
          {a !== undefined && b !== undefined && (
            <Link to={`/rulebook/${a}?with=${b}`} className="act act-first px-4">
              Compare the two
            </Link>
          )}
          <Import />
        </div>
      </header>
      <Changed />
      <input
        className="field mt-4 max-w-sm"
        type="search"
        aria-label="Find a species or a group"
        placeholder="Species or group"
        value={asked}
        onChange={(event) => setAsked(event.target.value)}
      />
      <div className="mt-4 grid grid-cols-3 gap-x-8 gap-y-6 border-t border-line pt-4 max-lg:grid-cols-2 max-sm:grid-cols-1">
        {groups.map((group) => (
          <section key={group.id} aria-labelledby={`group-${group.id}`}>
            <h2 id={`group-${group.id}`} className="mb-1 text-18">
              {group.name}
            </h2>
            <ul>
              {rules.species
                .filter(
                  (s) => s.group === group.id && (fits(group.name, asked) || fits(s.scientificName, asked)),
                )
                .map((s) => (
                  <li key={s.id} className="flex items-center gap-2 border-t border-line">
                    <Link to={`/rulebook/${s.id}`} className="min-h-8 flex-1 py-1.5 italic hover:underline">
                      {s.scientificName}
                    </Link>
                    <label className="grid size-8 cursor-pointer place-items-center touch:size-11">
                      <span className="sr-only">Compare {s.scientificName}</span>
                      <input
                        type="checkbox"
                        className="size-4 accent-lampmark"
                        checked={compared.includes(s.id)}
                        onChange={() => take(s.id)}
                      />
                    </label>
                  </li>
                ))}
            </ul>
          </section>
        ))}
      </div>
    </div>
  );
}

/** What was changed here, with the way back. */
function Changed() {
  const changes = useOverrides().data ?? [];
  const giveUp = useGiveUpOverride();
  return changes.length === 0 ? null : (
    <section aria-labelledby="changed" className="mt-4 border-t border-line pt-3">
      <h2 id="changed" className="mb-1 text-18">
        Changed here
      </h2>
      <ul className="text-13">
        {changes.map(({ change, label, text, for: whose }) => (
          <li key={change.id} className="flex flex-wrap items-center gap-x-3 border-t border-line py-1">
            <span className="min-w-0 flex-1 basis-64">
              <b className="font-semibold">{whose}</b>: {label} <b className="font-semibold">{text}</b>
              {change.remark !== '' && <span className="text-muted"> ({change.remark})</span>}
            </span>
            <Button
              writes="owner"
              kind="link"
              className="text-lamptext"
              disabled={giveUp.isPending}
              onClick={() => giveUp.mutate({ id: change.id, rule: change.rule })}
            >
              back to the rulebook<span className="sr-only"> for {whose}</span>
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The profile in a file. */
function profileIn(text: string): Schemas['SpeciesProfile'] {
  try {
    return JSON.parse(text) as Schemas['SpeciesProfile'];
  } catch {
    throw new Refusal('That is no species profile in JSON.', {}, 400);
  }
}

/** Adds a species of the keeper's own from a profile file. */
function Import() {
  const add = useAddSpecies();
  const [problem, setProblem] = useState<string>();
  const read = async (file: File) => {
    setProblem(undefined);
    try {
      await add.mutateAsync(profileIn(await file.text()));
    } catch (caught) {
      setProblem(refusalOf(caught).all);
    }
  };
  return (
    <>
      <Writes ownersOnly>
        <FilePick accept="application/json,.json" onPick={(file) => void read(file)}>
          Add a species from a file
        </FilePick>
      </Writes>
      <span role="status" className="text-13 text-mosstext">
        {add.data == null ? '' : `${add.data.scientificName} is in the rulebook.`}
      </span>
      <FormError>{problem}</FormError>
    </>
  );
}
