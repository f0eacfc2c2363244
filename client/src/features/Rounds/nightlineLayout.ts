import type { Schemas } from '../../api/client';

/** Height of a row of bands, in px. */
export const laneHeight = 18;

type Band = Schemas['NightBand'];

/** A band placed on one of the lanes of the strip, with its label where it is free. */
export interface PlacedBand {
  band: Band;
  lane: number;
  /** Ends and middle of the band, clipped to the strip, in pixels. */
  x1: number;
  x2: number;
  middle: number | null;
  text: string;
  textX: number;
  textAnchor: 'start' | 'end';
}

export interface Strip {
  width: number;
  lanes: number;
  /** Position of a night. */
  x: (night: string) => number;
  /** First pixel at which a band may begin (tonight). */
  from: number;
}

const gap = 14;
const labelPad = 6;
const averageCharacter = 6.4;

const labelWidth = (text: string) => text.length * averageCharacter;

/**
 * Lays bands into lanes, the most pressing first, so that neither bands nor labels touch. A band whose label does not
 * fit inside carries it outside; bands that find no lane are left out and counted.
 */
export function placeBands(bands: readonly Band[], strip: Strip): { placed: PlacedBand[]; left: number } {
  const taken: [number, number][][] = Array.from({ length: strip.lanes }, () => []);
  const placed: PlacedBand[] = [];
  let left = 0;
  for (const band of bands) {
    const candidate = shape(band, strip);
    const span = extent(candidate);
    const lane = taken.findIndex((spans) => spans.every(([a, b]) => span[1] + gap < a || span[0] > b + gap));
    if (lane < 0) {
      left++;
      continue;
    }
    taken[lane]?.push(span);
    placed.push({ ...candidate, lane });
  }
  return { placed, left };
}

function shape(band: Band, strip: Strip): Omit<PlacedBand, 'lane'> {
  const x1 = Math.max(strip.x(band.from), strip.from);
  const x2 = Math.max(x1 + 2, Math.min(strip.x(band.to), strip.width));
  const likely = strip.x(band.likely);
  const middle = likely >= x1 && likely <= x2 ? likely : null;
  const text = `${band.code} ${band.label}`;
  const inside = x2 - x1 > labelWidth(text) + 2 * labelPad;
  const roomAfter = x2 + labelPad + labelWidth(text) < strip.width;
  const textX = inside ? x1 + labelPad : roomAfter ? x2 + labelPad : x1 - labelPad;
  return { band, x1, x2, middle, text, textX, textAnchor: inside || roomAfter ? 'start' : 'end' };
}

function extent(placed: Omit<PlacedBand, 'lane'>): [number, number] {
  const width = labelWidth(placed.text);
  const label: [number, number] =
    placed.textAnchor === 'start'
      ? [placed.textX, placed.textX + width]
      : [placed.textX - width, placed.textX];
  return [Math.min(placed.x1, label[0]), Math.max(placed.x2, label[1])];
}
