import type { BothSides, Schemas } from '../../api/client';
import type { Outgoing } from '../../api/outbox';

type Members = Record<string, unknown>;

/** The same with one member set, however deep: `details.nickname`. Nothing of the former is touched. */
function withMember(whole: Members, path: readonly string[], value: unknown): Members {
  const [name, ...rest] = path;
  return name === undefined
    ? whole
    : {
        ...whole,
        [name]: rest.length === 0 ? value : withMember((whole[name] ?? {}) as Members, rest, value),
      };
}

/**
 * What shall hold once a keeper has chosen: one's own, with what is kept of the other side, and with the version that is there.
 * @param theirs Fields that stay as they are in the room.
 */
export const settled = (body: unknown, both: BothSides, theirs: ReadonlySet<string>): unknown =>
  both.differences
    .filter((difference) => theirs.has(difference.field))
    .reduce<Members>((whole, d) => withMember(whole, d.field.split('.'), d.value), {
      ...(body as Members),
      version: both.version,
    });

/** The entries of a batch that nobody else has told; none when none is left. */
export function withoutTold(item: Outgoing, both: BothSides): Pick<Outgoing, 'body' | 'ids'> | null {
  const told = new Set(both.twice.map((t) => t.yourId));
  const batch = item.body as Partial<Schemas['BatchRequest']>;
  const left = batch.entries?.filter((entry) => !told.has(entry.id)) ?? [];
  return left.length === 0 ? null : { body: { ...batch, entries: left }, ids: left.map((e) => e.id) };
}
