import { describe, expect, it } from 'vitest';
import type { StockDetails } from '../../api/client';
import { type Group, instarHint, readMolts, unreadable } from './animalDraft';

const spiders: Group = {
  id: 'tarantula',
  name: 'Tarantulas',
  one: 'tarantula',
  instarMark: 'i',
  instarAtHatching: 1,
  stageWords: {},
  sizePart: 'legSpan',
  parts: ['legSpan'],
  takesPrey: true,
  waits: [],
  colonial: false,
  shared: false,
  holdsWithForelegs: false,
  waterWays: [],
};

const details: StockDetails = {
  kind: 'specimen',
  group: 'tarantula',
  speciesId: 'tliltocatl-vagans',
  otherSpecies: null,
  nickname: 'Moss',
  sex: 'female',
  acquiredOn: '2026-11-23',
  acquiredFrom: null,
  line: null,
  moltsAtArrival: null,
  matureAtArrival: false,
  hatchedOn: null,
  count: 1,
};

describe('readMolts', () => {
  it.each([
    ['5', 5],
    [' i6 ', 5],
    ['I1', 0],
    ['', null],
  ] as const)('reads “%s” as %s', (text, molts) => expect(readMolts(text, spiders)).toBe(molts));

  it('does not make a number of words', () => expect(readMolts('many', spiders)).toBeNaN());

  it('says a number both ways', () => {
    expect(instarHint('5', spiders)).toBe('5 molts: i6');
    expect(instarHint('i6', spiders)).toBe('5 molts: i6');
    expect(instarHint('many', spiders)).toBeUndefined();
  });
});

describe('unreadable', () => {
  it('lets through what the server can judge', () => expect(unreadable(details, '4000', 'mm')).toBeNull());

  it('names each field that is no number', () => {
    const refusal = unreadable({ ...details, moltsAtArrival: Number.NaN, count: Number.NaN }, 'wide', 'cm');
    expect(refusal?.for('moltsAtArrival')).toContain('i6');
    expect(refusal?.for('count')).toContain('whole number');
    expect(refusal?.for('lengthMm')).toContain('cm');
  });
});
