import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { freshEnclosure, proposedFor } from './nextEnclosure';

const need = (changed: Partial<Schemas['RehouseNeed']>) =>
  ({
    tub: null,
    floorMm: null,
    needs: {
      minWidthMm: 187.2,
      minDepthMm: 124.8,
      minHeightMm: 62.4,
      maxHeightMm: 93.6,
      substrateDepthMm: 60.1,
    },
    ...changed,
  }) as Schemas['RehouseNeed'];

const box = {
  ...freshEnclosure,
  name: 'flat box L',
  widthMm: 300,
  depthMm: 200,
  heightMm: 160,
  substrateMm: 40,
};

describe('the enclosure that an animal is moved over into', () => {
  it('is the proposed size with the floor as deep as the animal needs', () => {
    expect(proposedFor(need({ tub: 'flat box L', floorMm: 96.3 }), [box])).toEqual({
      ...box,
      substrateMm: 97,
    });
    expect(proposedFor(need({ tub: 'flat box L' }), [box])).toEqual(box);
  });

  it('is otherwise the least that does, never a millimetre less, and still without a name', () => {
    expect(proposedFor(need({}), [box])).toMatchObject({
      name: '',
      widthMm: 188,
      depthMm: 125,
      heightMm: 63 + 61,
      substrateMm: 61,
    });
  });

  it('of an animal that needs no floor has none, and is as deep as it is wide', () => {
    const hanging = { ...need({}).needs, minDepthMm: null, substrateDepthMm: null };
    expect(proposedFor(need({ needs: hanging }), [])).toMatchObject({
      depthMm: 188,
      heightMm: 63,
      substrateMm: 0,
    });
  });
});
