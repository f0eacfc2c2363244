import { describe, expect, it } from 'vitest';
import { phaseOf } from './chill';

// Trade fact: chilled 5–15 minutes with a look every 5; too long kills them.
const bench = { chillFromMinutes: 5, chillToMinutes: 15, lookEveryMinutes: 5 };

describe('chilling flies', () => {
  it.each([
    [0, 'look again at 5 min', false, false],
    [299, 'look again at 5 min', false, false],
    [300, 'Look', true, false],
    [400, 'look again at 10 min', false, false],
    [610, 'Look', true, false],
    [900, 'Look', true, false],
    [901, 'Take them out', false, true],
  ] as const)('after %i s', (seconds, text, look, tooLong) => {
    const phase = phaseOf(seconds, bench);
    expect(phase.text.startsWith(text)).toBe(true);
    expect([phase.look, phase.tooLong]).toEqual([look, tooLong]);
  });
});
