import { describe, expect, it } from 'vitest';
import type { RoundLine, RoundView, Schemas } from '../../api/client';
import { byShelf, laterTonight, leftoversFirst, shelfOf } from './shelves';

const line = (place: string, more: Partial<RoundLine> = {}): RoundLine =>
  ({ place, state: 'due', act: 'feed', outAt: null, section: 'shelf', ...more }) as RoundLine;

const shelf = (code: string, states = ''): Schemas['RoundShelf'] =>
  ({ code, quarantine: code.startsWith('Q'), note: '', states }) as Schemas['RoundShelf'];

const round = (more: Partial<RoundView>): RoundView =>
  ({
    shelves: [shelf('A1'), shelf('A2'), shelf('Q1')],
    lines: [],
    done: [],
    left: null,
    ...more,
  }) as RoundView;

const walk = (view: RoundView) => byShelf(view).map((s) => [s.code, s.rows.map((r) => r.place)]);

describe('the round by shelf', () => {
  it('reads the shelf off a place', () => {
    expect(shelfOf('A1·03')).toBe('A1');
    expect(shelfOf('Q12·110')).toBe('Q12');
  });

  it('goes shelf by shelf in the order of the server, slot by slot within', () => {
    const view = round({ lines: [line('A2·01'), line('A1·10'), line('A1·02'), line('Q1·01')] });
    expect(walk(view)).toEqual([
      ['A1', ['A1·02', 'A1·10']],
      ['A2', ['A2·01']],
      ['Q1', ['Q1·01']],
    ]);
  });

  it('puts leftovers before the first shelf and what may stay for hours behind the last', () => {
    const view = round({
      lines: [line('A1·01', { section: 'later' }), line('A2·03', { section: 'first' }), line('A1·02')],
    });
    expect(walk(view)).toEqual([
      [leftoversFirst, ['A2·03']],
      ['A1', ['A1·02']],
      [laterTonight, ['A1·01']],
    ]);
  });

  it('keeps what is done in its place among what is not', () => {
    const done = [{ place: 'A1·02' }] as RoundView['done'];
    const [first] = byShelf(round({ lines: [line('A1·03'), line('A1·01')], done }));
    expect(first?.rows.map((r) => [r.kind, r.place])).toEqual([
      ['due', 'A1·01'],
      ['done', 'A1·02'],
      ['due', 'A1·03'],
    ]);
  });

  it('names a shelf where some are only to be passed by, or rest, and no other', () => {
    const view = round({
      shelves: [shelf('A1', 'r-r'), shelf('A2'), shelf('Q1')],
      lines: [line('Q1·01', { state: 'passBy' })],
    });
    expect(byShelf(view).map((s) => [s.code, s.passBy.length, s.resting])).toEqual([
      ['A1', 0, 2],
      ['Q1', 1, 0],
    ]);
  });
});
