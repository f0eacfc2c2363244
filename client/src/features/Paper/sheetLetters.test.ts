import { describe, expect, it } from 'vitest';
import type { RoundLine } from '../../api/client';
import { line as sample } from '../../testing/samples';
import { lineMeant, readLetters } from './sheetLetters';

const offered = {
  feederId: 'cricket',
  sizeClassId: 'small',
  count: 1,
  preparation: 'live',
} as const;

const line = (changed: Partial<RoundLine>): RoundLine =>
  sample({
    do: 'Offer 1 small cricket',
    offer: { ...offered, what: '1 small cricket', animals: 1, serving: '' },
    waters: ['mist'],
    choices: [
      {
        key: 'f',
        label: 'Watered and fed',
        brief: 'Fed',
        isRefusal: false,
        acts: [
          { kind: 'watered', water: 'mist' },
          { ...offered, kind: 'offered', outcome: 'eaten', leftIn: null, untaken: null },
        ],
      },
    ],
    ...changed,
  });

describe('letters of a line', () => {
  it('logs the upkeep where it stood on the line, and only there', () => {
    const tended = { kind: 'tended', task: 'condensation' } as const;
    const eggs = line({
      act: 'tend',
      offer: null,
      waters: [],
      choices: [{ key: 'd', label: 'Done', brief: 'Done', isRefusal: false, acts: [tended] }],
    });
    expect(readLetters('D', eggs)).toEqual({ acts: [tended], words: 'upkeep done', trouble: null });
    expect(readLetters('d', line({})).trouble).toContain('no upkeep was on this line');
  });

  it('are its boxes, several of them one after another', () => {
    const read = readLetters('FW', line({}));
    expect(read.acts).toMatchObject([
      { kind: 'watered', water: 'mist' },
      { kind: 'offered', feederId: 'cricket', outcome: 'eaten' },
    ]);
    expect(read.words).toBe('fed, watered');
  });

  it('put leftovers out before anything else, however they were ticked', () =>
    expect(readLetters('f x', line({})).acts.map((a) => a.kind)).toEqual(['leftoversRemoved', 'offered']));

  it('feed nothing where the line offered nothing', () => {
    const read = readLetters('wf', line({ choices: [] }));
    expect(read.acts).toEqual([]);
    expect(read.trouble).toContain('no food');
  });

  it('say which letter is none', () => expect(readLetters('q', line({})).trouble).toContain('“q”'));

  it('are nothing when nothing is written', () =>
    expect(readLetters(' ', line({}))).toEqual({ acts: [], words: '', trouble: null }));
});

describe('a line', () => {
  const lines = [line({ place: 'A1·03' }), line({ place: 'B10·07' })];
  it.each([
    ['a1-3', 0],
    ['b10.7', 1],
    ['2', 1],
    ['3', -1],
    ['c1-1', -1],
    ['', -1],
  ] as const)('is meant by “%s”: %d', (text, k) => expect(lineMeant(text, lines)).toBe(k));
});
