import { Filter } from '../../ui/Select';
import { Button, IconButton } from '../../ui/Button';
import { X } from 'lucide-react';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import type { StockFilter } from './queries';
import { stageWord } from './words';

interface Props {
  filter: StockFilter;
  onChange: (filter: StockFilter) => void;
  choices: Schemas['StockChoices'] | undefined;
}

const shows: readonly (readonly [string, string])[] = [
  ['hushed', 'Hushed'],
  ['misfits', 'Needs another enclosure'],
  ['unmeasured', 'Enclosure not measured'],
  ['undated', 'Last molt not known'],
  ['new', 'New stock'],
  ['hazard', 'Hazard to people'],
  ['changed', 'Rules of their own'],
];

interface Saved {
  name: string;
  filter: StockFilter;
}

const storage = 'stock-filters';

const readSaved = (): Saved[] => {
  const kept = localStorage.getItem(storage);
  return kept?.startsWith('[') === true ? (JSON.parse(kept) as Saved[]) : [];
};

/** What the list is narrowed by; filters can be saved on this device and called up by name. */
export function StockFilters({ filter, onChange, choices }: Props) {
  const [saved, setSaved] = useState(readSaved);
  const [naming, setNaming] = useState<string | null>(null);
  const set = (part: Partial<StockFilter>) => {
    // A choice of "all" is an empty text, and no filter.
    const next: Record<string, unknown> = { ...filter, ...part };
    onChange(Object.fromEntries(Object.entries(next).filter(([, v]) => v !== '')));
  };
  const keep = (next: Saved[]) => {
    localStorage.setItem(storage, JSON.stringify(next));
    setSaved(next);
    setNaming(null);
  };
  const narrowed = Object.keys(filter).some((key) => !['here', 'order', 'back'].includes(key));
  return (
    <div className="mt-2">
      <div className="flex flex-wrap items-center gap-2">
        <input
          className="field max-w-56"
          type="search"
          aria-label="Narrow by code, name, species or tag"
          placeholder="Code, name, species, tag"
          value={filter.find ?? ''}
          onChange={(event) => set({ find: event.target.value })}
        />
        <Pick
          label="Group"
          value={filter.group}
          options={choices?.groups.map((g) => [g, g])}
          onPick={(group) => set({ group })}
        />
        <Pick
          label="Species"
          value={filter.species}
          options={choices?.species.map((s) => [s, s])}
          onPick={(species) => set({ species })}
        />
        <Pick
          label="Stage"
          value={filter.stage}
          options={Object.entries(stageWord)}
          onPick={(stage) => set({ stage: stage as Schemas['Stage'] })}
        />
        <Pick
          label="Sex"
          value={filter.sex}
          options={[
            ['female', 'Female'],
            ['male', 'Male'],
            ['unknown', 'Not known'],
          ]}
          onPick={(sex) => set({ sex: sex as Schemas['Sex'] })}
        />
        <Pick
          label="Rack"
          value={filter.rack}
          options={choices?.racks.map((r) => [r, `Rack ${r}`])}
          onPick={(rack) => set({ rack })}
        />
        <Pick label="Show" value={filter.show} options={shows} onPick={(show) => set({ show })} />
        {(choices?.tags.length ?? 0) > 0 && (
          <Pick
            label="Tag"
            value={filter.tag}
            options={choices?.tags.map((t) => [t, t])}
            onPick={(tag) => set({ tag })}
          />
        )}
        <NightFilter
          label="Awaited before"
          value={filter.awaitedBefore}
          onPick={(awaitedBefore) => set({ awaitedBefore })}
        />
        <NightFilter label="New since" value={filter.newSince} onPick={(newSince) => set({ newSince })} />
        <Button aria-pressed={filter.here === false} onClick={() => set({ here: filter.here === false })}>
          {filter.here === false ? 'Show those that are here' : 'Show those that left'}
        </Button>
        {narrowed && (
          <Button kind="plain" onClick={() => onChange({ here: filter.here ?? true, order: 'place' })}>
            Show all
          </Button>
        )}
      </div>
      <div className="mt-1.5 flex flex-wrap items-center gap-x-4 text-13">
        {saved.map((s) => (
          <span key={s.name} className="inline-flex items-center">
            <Button kind="link" onClick={() => onChange(s.filter)}>
              {s.name}
            </Button>
            <IconButton
              label={`Forget the filter ${s.name}`}
              onClick={() => keep(saved.filter((x) => x.name !== s.name))}
            >
              <X className="size-3.5" />
            </IconButton>
          </span>
        ))}
        {narrowed &&
          (naming === null ? (
            <Button kind="link" className="text-muted" onClick={() => setNaming('')}>
              Save this filter…
            </Button>
          ) : (
            <form
              className="flex gap-2"
              onSubmit={(event) => {
                event.preventDefault();
                if (naming.trim() !== '') {
                  keep([...saved.filter((s) => s.name !== naming.trim()), { name: naming.trim(), filter }]);
                }
              }}
            >
              <input
                className="field min-h-8! max-w-40"
                aria-label="Name of the filter"
                autoFocus
                maxLength={40}
                value={naming}
                onChange={(event) => setNaming(event.target.value)}
              />
              <Button small type="submit">
                Save
              </Button>
            </form>
          ))}
      </div>
    </div>
  );
}

interface NightFilterProps {
  label: string;
  value: string | undefined;
  onPick: (night: string) => void;
}

/** A day by which the list is narrowed. */
function NightFilter({ label, value, onPick }: NightFilterProps) {
  return (
    <label
      className={`flex items-center gap-1.5 text-13 ${value === undefined ? 'text-muted' : 'font-semibold'}`}
    >
      {label}
      <input
        type="date"
        className="field w-36!"
        value={value ?? ''}
        onChange={(event) => onPick(event.target.value)}
      />
    </label>
  );
}

interface PickProps {
  label: string;
  value: string | undefined;
  options: readonly (readonly [string, string])[] | undefined;
  onPick: (value: string) => void;
}

function Pick({ label, value, options = [], onPick }: PickProps) {
  return (
    <Filter
      label={label}
      options={[['', `${label}: all`], ...options]}
      value={value ?? ''}
      onChange={onPick}
    />
  );
}
