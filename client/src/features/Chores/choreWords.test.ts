import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { kitText } from '../Rounds/kitWords';
import { rhythm } from './choreWords';

const plan = (
  everyDays: number | null,
  season: Schemas['SeasonSpan'] | null = null,
): Schemas['ChorePlan'] => ({
  kind: 'own',
  title: 'Wipe',
  where: '',
  starts: '2026-11-23',
  everyDays,
  season,
  kit: '',
  minutes: 5,
});

const summer = { fromMonth: 5, fromDay: 1, toMonth: 10, toDay: 31 };

describe('how often a chore comes', () => {
  it('says once, every night, or every so many days', () => {
    expect(rhythm(plan(null))).toBe('once');
    expect(rhythm(plan(1))).toBe('every night');
    expect(rhythm(plan(7))).toBe('every 7 days');
  });

  it('says the season with it', () => {
    expect(rhythm(plan(7, summer))).toBe('every 7 days, 1 May – 31 Oct');
    expect(rhythm(plan(null, summer))).toBe('once every year, 1 May – 31 Oct');
  });

  it('knows 29 February', () => {
    expect(rhythm(plan(null, { fromMonth: 2, fromDay: 29, toMonth: 3, toDay: 5 }))).toContain(
      '29 Feb – 5 Mar',
    );
  });
});

describe('what to have ready', () => {
  const item = (changed: Partial<Schemas['KitItem']>): Schemas['KitItem'] => ({
    kind: 'tool',
    what: 'feeding tongs',
    amount: 0,
    unit: '',
    ...changed,
  });

  it('counts food, measures water, and names tools', () => {
    expect(kitText(item({ kind: 'food', what: 'small crickets', amount: 50 }))).toBe('50 × small crickets');
    expect(kitText(item({ kind: 'water', what: 'mist bottle', amount: 12.04, unit: 'mL' }))).toBe(
      'mist bottle, 12 mL',
    );
    expect(kitText(item({}))).toBe('feeding tongs');
  });

  it('fills one dish, or several dishes', () => {
    expect(kitText(item({ kind: 'water', what: 'water', amount: 1, unit: 'dishes' }))).toBe('water, 1 dish');
    expect(kitText(item({ kind: 'water', what: 'water', amount: 9, unit: 'dishes' }))).toBe(
      'water, 9 dishes',
    );
  });
});
