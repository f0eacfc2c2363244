import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { idOf } from './feederWords';
import { actOf } from './larderWork';

const work = (changed: Partial<Schemas['LarderWork']>): Schemas['LarderWork'] => ({
  task: 'throwAway',
  due: '2026-11-23',
  cultureId: 'c',
  feederId: 'fruit-fly-small',
  pots: 2,
  end: 'mites',
  text: '',
  because: '',
  minutes: 4,
  reasons: [],
  ...changed,
});

describe('work in the larder', () => {
  it('writes why a culture was thrown away', () => {
    expect(actOf(work({}))).toEqual({ kind: 'cultureEnded', cultureId: 'c', end: 'mites' });
    expect(actOf(work({ end: null }))).toMatchObject({ end: 'spent' });
  });

  it('takes a pot out of the cold and never puts it back', () => {
    expect(actOf(work({ task: 'outOfCold' }))).toEqual({
      kind: 'cultureChilled',
      cultureId: 'c',
      intoCold: false,
    });
  });

  it('starts as many pots as were asked for, each time a culture of its own', () => {
    const [first, second] = [0, 1].map(() => actOf(work({ task: 'start', cultureId: null, pots: 3 })));
    expect(first).toMatchObject({ kind: 'cultureStarted', feederId: 'fruit-fly-small', pots: 3, ageDays: 0 });
    expect(first?.kind === 'cultureStarted' && first.cultureId).not.toBe(
      second?.kind === 'cultureStarted' && second.cultureId,
    );
  });

  it('writes nothing for an order, nor for a culture that is not named', () => {
    expect(actOf(work({ task: 'order', cultureId: null }))).toBeNull();
    expect(actOf(work({ cultureId: null }))).toBeNull();
    expect(actOf(work({ task: 'outOfCold', cultureId: null }))).toBeNull();
  });

  it('writes of the very plant, and nothing for leaf that is cut or bought', () => {
    expect(actOf(work({ task: 'waterPlant', plantId: 'p' }))).toEqual({ kind: 'plantWatered', plantId: 'p' });
    expect(actOf(work({ task: 'throwLeaf', plantId: 'p' }))).toEqual({ kind: 'plantEnded', plantId: 'p' });
    expect(actOf(work({ task: 'waterPlant', plantId: null }))).toBeNull();
    expect(actOf(work({ task: 'cutLeaf' }))).toBeNull();
    expect(actOf(work({ task: 'buyPlant' }))).toBeNull();
  });
});

describe('the id of a new feeder', () => {
  it('is small letters, digits and hyphens, and leaves accents behind', () => {
    expect(idOf('Green  Bottle (large) 2')).toBe('green-bottle-large-2');
    expect(idOf(' Drosóphila hydéi ')).toBe('drosophila-hydei');
    expect(idOf('--')).toBe('');
    expect(idOf('x'.repeat(60))).toHaveLength(40);
  });
});
