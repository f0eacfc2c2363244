import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { toDays } from '../../ui/dates';
import { placeBands, type Strip } from './nightlineLayout';

type Band = Schemas['NightBand'];

const tonight = toDays('2026-11-23');
const strip: Strip = { width: 1000, lanes: 2, from: 100, x: (night) => 100 + (toDays(night) - tonight) * 10 };

const band = (code: string, from: string, likely: string, to: string): Band => ({
  stockId: code,
  code,
  name: code,
  kind: 'molt',
  label: 'molts',
  from,
  likely,
  to,
  hushed: false,
});

describe('placeBands', () => {
  it('puts a label inside a band that is wide enough and outside one that is not', () => {
    const { placed } = placeBands(
      [
        band('A1·01', '2026-12-01', '2026-12-10', '2026-12-20'),
        band('A1·02', '2026-11-24', '2026-11-24', '2026-11-25'),
      ],
      strip,
    );
    expect(placed[0]?.textX).toBe((placed[0]?.x1 ?? 0) + 6);
    expect(placed[1]?.textX).toBe((placed[1]?.x2 ?? 0) + 6);
  });

  it('never lets bands or labels of one lane touch, and counts what finds no lane', () => {
    const many = Array.from({ length: 7 }, (_, k) =>
      band(`A1·0${k}`, `2026-12-0${k + 1}`, `2026-12-0${k + 2}`, '2027-01-05'),
    );
    const { placed, left } = placeBands(many, strip);
    expect(placed).toHaveLength(2);
    expect(new Set(placed.map((p) => p.lane)).size).toBe(2);
    expect(left).toBe(5);
  });

  it('shares a lane when there is room behind', () => {
    const { placed, left } = placeBands(
      [
        band('A1·01', '2026-11-24', '2026-11-25', '2026-11-27'),
        band('A1·02', '2026-12-20', '2026-12-24', '2026-12-30'),
        band('A1·03', '2027-01-10', '2027-01-12', '2027-01-20'),
      ],
      { ...strip, lanes: 1 },
    );
    expect(left).toBe(0);
    expect(placed.every((p) => p.lane === 0)).toBe(true);
  });

  it('clips a band at tonight and at the end of the strip', () => {
    const { placed } = placeBands([band('A1·01', '2026-11-20', '2026-11-21', '2028-01-01')], strip);
    expect(placed[0]).toMatchObject({ x1: 100, x2: 1000, middle: null });
  });
});
