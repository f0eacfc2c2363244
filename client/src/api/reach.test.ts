import { describe, expect, it } from 'vitest';
import { Reach } from './reach';

function world() {
  let minute = 0;
  const reach = new Reach({ now: () => new Date(Date.UTC(2026, 10, 27, 21, minute++)), client: () => 'a1' });
  const told: boolean[] = [];
  reach.subscribe(() => told.push(reach.state().silentSince !== null));
  const back: number[] = [];
  reach.whenBack(() => back.push(1));
  return { reach, told, back };
}

describe('contact with the server', () => {
  it('is told when it breaks and when it is back, and only then', () => {
    const { reach, told, back } = world();
    reach.heard('a1');
    reach.silent();
    const since = reach.state().silentSince;
    reach.silent();
    expect(reach.state().silentSince).toBe(since);
    reach.heard();
    reach.heard('a1');
    expect(told).toEqual([true, false]);
    expect(back).toHaveLength(1);
    expect(reach.state().isNewer).toBe(false);
  });

  it('with a server that has a newer page says so from then on', () => {
    const { reach } = world();
    reach.heard('b2');
    reach.heard('a1');
    expect(reach.state().isNewer).toBe(true);
  });

  it('with one that names no page says nothing of it', () => {
    const { reach } = world();
    reach.heard(null);
    expect(reach.state().isNewer).toBe(false);
  });
});
