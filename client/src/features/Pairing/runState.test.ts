import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import type { Outgoing } from '../../api/outbox';
import { runOf } from './runState';

const she = '11111111-1111-1111-1111-111111111111';

const known = {
  at: '2026-11-23T20:00:00Z',
  method: 'watched',
  led: true,
  seen: [{ entryId: 'e1', at: '2026-11-23T20:01:00Z', sight: 'drums', minutes: null }],
  end: null,
} as unknown as NonNullable<Schemas['RunSheet']['pairing']>;

const waiting = (seq: number, body: unknown, changed: Partial<Outgoing> = {}): Outgoing => ({
  seq,
  method: 'POST',
  path: `/api/stock/${she}/journal`,
  body,
  topic: 'journal',
  seen: null,
  ids: [],
  about: [she],
  text: '',
  by: null,
  tapped: '2026-11-23T20:05:00Z',
  setAside: null,
  ...changed,
});

const seen = (id: string, sight: string, corrects: string | null = null, minutes = 0) => ({
  id,
  act: { kind: 'pairingSeen', sight, minutes: minutes === 0 ? null : minutes },
  corrects,
});

describe('a pairing as it stands', () => {
  it('is none that was only told of afterwards', () => {
    expect(runOf({ ...known, led: false }, [], she)).toBeNull();
    expect(runOf(null, [], she)).toBeNull();
  });

  it('counts in what waits for the server, in the order of the taps, and says so', () => {
    const run = runOf(known, [waiting(1, seen('e2', 'lunge')), waiting(2, seen('e3', 'insertion'))], she);
    expect(run?.seen.map((m) => [m.entryId, m.sight, m.waits])).toEqual([
      ['e1', 'drums', false],
      ['e2', 'lunge', true],
      ['e3', 'insertion', true],
    ]);
    expect(run?.seen[2]?.at).toBe('2026-11-23T20:05:00Z');
  });

  it('takes minutes told later as a correction of the moment, which keeps its time', () => {
    const run = runOf(known, [waiting(1, seen('e4', 'insertion', 'e1', 7))], she);
    expect(run?.seen).toEqual([
      {
        entryId: 'e4',
        at: '2026-11-23T20:01:00Z',
        sight: 'insertion',
        minutes: 7,
        waits: true,
      },
    ]);
  });

  it('begins and ends without the server', () => {
    const begun = waiting(1, { id: 'p', act: { kind: 'paired', led: true, method: 'tubToTub' } });
    expect(runOf(null, [begun], she)).toMatchObject({ method: 'tubToTub', seen: [], end: null });
    const ended = waiting(2, { id: 'q', act: { kind: 'pairingEnded', ending: 'maleSafe' } });
    expect(runOf(null, [begun, ended], she)?.end).toBe('maleSafe');
    const stays = waiting(2, { id: 'q', act: { kind: 'pairingEnded', ending: 'leftIn' } });
    expect(runOf(null, [begun, stays], she)).toMatchObject({ method: 'leftTogether', end: null });
  });

  it('keeps what the server has taken until its next answer has it, and counts nothing twice', () => {
    const begun = waiting(1, { id: 'p', act: { kind: 'paired', led: true, method: 'watched' } });
    const lunge = waiting(2, seen('e2', 'lunge'));
    const joined = waiting(3, seen('e3', 'joined'));
    const run = runOf(null, [joined], she, [begun, lunge]);
    expect(run?.seen.map((m) => [m.sight, m.waits])).toEqual([
      ['lunge', false],
      ['joined', true],
    ]);
    const drums = waiting(2, seen('e1', 'drums'));
    expect(runOf(known, [], she, [begun, drums])?.seen).toHaveLength(1);
  });

  it('leaves out what is of another animal, set aside, or no entry', () => {
    const others = [
      waiting(1, seen('e2', 'lunge'), { about: ['22222222-2222-2222-2222-222222222222'] }),
      waiting(2, seen('e3', 'lunge'), {
        setAside: { problem: 'no', at: '' } as unknown as Outgoing['setAside'],
      }),
      waiting(3, null, { path: '/api/chores' }),
    ];
    expect(runOf(known, others, she)?.seen).toHaveLength(1);
  });
});
