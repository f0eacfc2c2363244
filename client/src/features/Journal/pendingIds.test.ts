import { describe, expect, it } from 'vitest';
import { PendingIds } from './pendingIds';

describe('ids of acts whose answer did not come', () => {
  it('are the same while nothing is known of them, so that a second tap writes nothing twice', () => {
    const ids = new PendingIds();
    expect(ids.take('2026-11-23', 'fed', 2)).toEqual(ids.take('2026-11-23', 'fed', 2));
  });

  it('are new on the next night, so that the same meal is recorded then', () => {
    const ids = new PendingIds();
    const [first] = ids.take('2026-11-23', 'fed', 1);
    expect(ids.take('2026-11-24', 'fed', 1)).not.toEqual([first]);
  });

  it('are new once they were answered, written or refused', () => {
    const ids = new PendingIds();
    const [first] = ids.take('2026-11-23', 'fed', 1);
    ids.settle('2026-11-23', 'fed', 1);
    expect(ids.take('2026-11-23', 'fed', 1)).not.toEqual([first]);
  });
});
