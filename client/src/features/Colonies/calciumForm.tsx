import type { Schemas } from '../../api/client';
import { Choice, Choices } from '../../ui/Field';
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
      <Choices
        label="Put in now, or renewed"
        options={subject.calcium.sources.map(({ id, name }) => [id, name] as const)}
        values={act.put}
        onChange={(put) => change({ ...act, put })}
      />
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
