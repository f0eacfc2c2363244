import type { Schemas } from '../../api/client';

type Enclosure = Schemas['Enclosure'];

/** An enclosure of which nothing is known yet. */
export const freshEnclosure: Enclosure = {
  name: '',
  widthMm: 0,
  depthMm: 0,
  heightMm: 0,
  substrateMm: 0,
  vents: 'fewHoles',
  damp: 'none',
  heat: 'room',
  mist: null,
};

/**
 * What the plan of moves proposes for an animal: one of the room's own sizes with the floor as deep as it needs, or the
 * least measures that do, still to be named.
 */
export function proposedFor(need: Schemas['RehouseNeed'], sizes: readonly Enclosure[]): Enclosure {
  const size = sizes.find((s) => s.name === need.tub);
  if (size !== undefined) {
    return { ...size, substrateMm: Math.ceil(need.floorMm ?? size.substrateMm) };
  }
  const { minWidthMm, minDepthMm, minHeightMm, substrateDepthMm } = need.needs;
  const floor = Math.ceil(substrateDepthMm ?? 0);
  return {
    ...freshEnclosure,
    widthMm: Math.ceil(minWidthMm),
    depthMm: Math.ceil(minDepthMm ?? minWidthMm),
    heightMm: Math.ceil(minHeightMm) + floor,
    substrateMm: floor,
  };
}
