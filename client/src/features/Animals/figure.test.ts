import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { type Figure, type FigureOf, figureOf, lying } from './figure';

const groups = [
  'tarantula',
  'jumping-spider',
  'scorpion',
  'mantis',
  'hermit-crab',
  'ant',
  'isopod',
  'moth',
  'beetle',
];
const stages: Schemas['Stage'][] = ['sling', 'juvenile', 'subAdult', 'adult', 'pupa', 'egg'];

/** Every point that a path goes through; control points may lie a little outside. */
function pointsOf(d: string): [number, number][] {
  const points: [number, number][] = [];
  for (const [, command = '', numbers = ''] of d.matchAll(/([MLCQ])([^MLCQZ]*)/g)) {
    const all = numbers.match(/-?\d+(\.\d+)?/g)?.map(Number) ?? [];
    const each = command === 'C' ? 6 : command === 'Q' ? 4 : 2;
    for (let i = each; i <= all.length; i += each) {
      points.push([all[i - 2] ?? 0, all[i - 1] ?? 0]);
    }
  }
  return points;
}

const any: FigureOf[] = groups.flatMap((group) =>
  stages.flatMap((stage) =>
    [0.72, 1, 1.26].flatMap((abdomen) =>
      // Only of spiders are legs measured against the body.
      (group.includes('spider') || group === 'tarantula' ? [0.7, 1, 1.5] : [1]).map((legs) => ({
        group,
        stage,
        abdomen,
        legs,
        queen: stage === 'adult',
      })),
    ),
  ),
);

describe('the drawing of an animal', () => {
  it.each(groups)('of group %s lies in its box at every stage and build', (group) => {
    for (const of of any.filter((f) => f.group === group)) {
      const { marks, box } = figureOf(of);
      const [left, top, right, bottom] = box;
      const outside = marks
        .flatMap((mark) => pointsOf(mark.d))
        .filter(([x, y]) => x < left - 4 || x > right + 4 || y < top - 4 || y > bottom + 4);
      expect(outside, JSON.stringify(of)).toEqual([]);
    }
  });

  it('has a body within the drawing, head first', () => {
    for (const of of any) {
      const { body, box, head } = figureOf(of);
      const [from, to] = head === 'up' ? [box[1], box[3]] : [box[0], box[2]];
      expect(body[0], JSON.stringify(of)).toBeGreaterThanOrEqual(from);
      expect(body[1], JSON.stringify(of)).toBeLessThanOrEqual(to);
      expect(body[0]).toBeLessThan(body[1]);
    }
  });

  it('is another one for each group, and for the stages of those that change their shape', () => {
    const draw = (of: FigureOf) => JSON.stringify(figureOf(of).marks);
    expect(new Set(groups.map((group) => draw({ group, stage: 'adult' }))).size).toBe(groups.length);
    const moths = (['egg', 'juvenile', 'pupa', 'adult'] as const).map((stage) =>
      draw({ group: 'moth', stage }),
    );
    expect(new Set(moths).size).toBe(4);
    expect(draw({ group: 'ant', stage: 'adult', queen: true })).not.toBe(
      draw({ group: 'ant', stage: 'adult' }),
    );
    expect(draw({ group: 'tarantula', stage: 'adult', abdomen: 1.26 })).not.toBe(
      draw({ group: 'tarantula', stage: 'adult', abdomen: 0.74 }),
    );
  });

  it('shows a limb that was lost by drawing less', () => {
    const whole = figureOf({ group: 'tarantula', stage: 'adult' });
    const lame = figureOf({ group: 'tarantula', stage: 'adult', lost: 2 });
    expect(JSON.stringify(lame.marks)).not.toBe(JSON.stringify(whole.marks));
  });
});

describe('a drawing laid down beside a ruler', () => {
  const length = (figure: Figure) => figure.body[1] - figure.body[0];

  it('keeps its length and has its head to the right', () => {
    for (const of of any) {
      const laid = lying(figureOf(of));
      expect(laid.head - laid.tail).toBeCloseTo(length(laid.figure), 9);
      expect(laid.head).toBeGreaterThan(laid.tail);
      expect(laid.left).toBeLessThanOrEqual(laid.tail + 1e-9);
      expect(laid.right).toBeGreaterThanOrEqual(laid.head - 1e-9);
      expect(laid.top).toBeLessThan(laid.bottom);
    }
  });
});
