import type { Schemas } from '../../api/client';
import { Choice } from '../../ui/Field';
import type { ActOf, EntryForm } from '../Journal/entryForm';

const lefts: readonly (readonly [Schemas['CalciumLeft'] | 'unseen', string])[] = [
  ['plenty', 'Plenty'],
  ['some', 'Some'],
  ['gone', 'Gone'],
  ['unseen', 'Not looked'],
];

type Looked = ActOf<'calciumLooked'>;

const seen = (act: Looked, sourceId: string) =>
  act.seen.find((s) => s.sourceId === sourceId)?.left ?? 'unseen';

const withSeen = (act: Looked, sourceId: string, left: Schemas['CalciumLeft'] | 'unseen'): Looked => ({
  ...act,
  seen: [
    ...act.seen.filter((s) => s.sourceId !== sourceId),
    ...(left === 'unseen' ? [] : [{ sourceId, left }]),
  ],
});

const calciumLooked: EntryForm<'calciumLooked'> = {
  title: 'Calcium, source by source',
  wide: true,
  begin: () => ({ kind: 'calciumLooked', seen: [], put: [] }),
  Fields: ({ act, change, subject, error }) => (
    <>
      {subject.calcium.standing.map(({ sourceId, name }) => (
        <Choice
          key={sourceId}
          label={`Left of ${name}`}
          options={lefts}
          value={seen(act, sourceId)}
          onChange={(left) => change(withSeen(act, sourceId, left))}
        />
      ))}
      <fieldset>
        <legend className="mb-1 text-13 font-semibold">Put in now, or renewed</legend>
        <div className="flex flex-wrap gap-2">
          {subject.calcium.sources.map((source) => (
            <label
              key={source.id}
              className="flex min-h-11 cursor-pointer items-center rounded-sm border border-edge px-3 text-13 has-checked:border-lampmark has-checked:bg-raised has-checked:font-semibold has-focus-visible:outline-2"
            >
              <input
                type="checkbox"
                className="sr-only"
                checked={act.put.includes(source.id)}
                onChange={() =>
                  change({
                    ...act,
                    put: act.put.includes(source.id)
                      ? act.put.filter((id) => id !== source.id)
                      : [...act.put, source.id],
                  })
                }
              />
              {source.name}
            </label>
          ))}
        </div>
      </fieldset>
      {subject.calcium.sources
        .filter((source) => source.prepare !== '' && act.put.includes(source.id))
        .map((source) => (
          <p key={source.id} className="border-l-2 border-lampmark pl-2 text-13">
            {source.name}: {source.prepare.toLowerCase()}.
          </p>
        ))}
      {(error('put') ?? error('seen')) !== undefined && (
        <p className="text-13 text-ember">{error('put') ?? error('seen')}</p>
      )}
    </>
  ),
};

/** The form of a tub’s calcium. */
export const calciumForms = { calciumLooked };
