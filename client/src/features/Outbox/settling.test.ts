import { describe, expect, it } from 'vitest';
import type { BothSides } from '../../api/client';
import type { Outgoing } from '../../api/outbox';
import { settled, withoutTold } from './settling';

const both: BothSides = {
  title: '',
  status: 409,
  kind: 'stale',
  field: 'version',
  version: 9,
  differences: [
    { field: 'details.nickname', label: 'Nickname', theirs: 'Bramble', yours: 'Tansy', value: 'Bramble' },
    { field: 'details.sex', label: 'Sex', theirs: 'male', yours: 'female', value: 'male' },
    { field: 'place', label: 'Place', theirs: 'A1·05', yours: 'A1·03', value: 'A1·05' },
  ],
  twice: [],
};

const mine = { version: 3, details: { nickname: 'Tansy', sex: 'female', count: 1 }, place: 'A1·03' };

describe('what shall hold of both sides', () => {
  it('is chosen field by field, and leaves alone what does not differ', () => {
    expect(settled(mine, both, new Set(['details.sex', 'place']))).toEqual({
      version: 9,
      details: { nickname: 'Tansy', sex: 'male', count: 1 },
      place: 'A1·05',
    });
    expect(settled(mine, both, new Set())).toEqual({ ...mine, version: 9 });
    // What was sent stays as it was, for as long as it is not settled.
    expect(mine.details.sex).toBe('female');
  });
});

describe('a batch of which another has told a part', () => {
  const told = { entryId: 't', stockId: 's', theirs: '', yours: '', by: 'Ann', at: '2026-11-27T21:00:00Z' };
  const batch = (ids: string[]) =>
    ({ body: { entries: ids.map((id) => ({ id, stockId: id })), night: null }, ids }) as unknown as Outgoing;

  it('is written without that part, or not at all', () => {
    const twice = { ...both, kind: 'toldTwice' as const, twice: [{ ...told, yourId: 'b' }] };
    expect(withoutTold(batch(['a', 'b', 'c']), twice)?.ids).toEqual(['a', 'c']);
    expect(withoutTold(batch(['b']), twice)).toBeNull();
    expect(withoutTold({ ...batch([]), body: { id: 'b', act: {} } }, twice)).toBeNull();
  });
});
