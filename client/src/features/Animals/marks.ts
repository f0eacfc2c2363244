/** A point of a drawing; the body of an animal is about a hundred units long. */
export type Point = readonly [number, number];

/** Points written as `x,y x,y`, as short as they can be read. */
export const at = (points: string): Point[] =>
  points.split(' ').map((point) => {
    const [x = 0, y = 0] = point.split(',').map(Number);
    return [x, y];
  });

/** What a mark is painted with: the animal, what shows through it, and what is paler. */
export type Tone = 'ink' | 'paper' | 'soft';

/** One closed outline or line of a drawing. */
export interface Mark {
  d: string;
  fill?: Tone;
  /** Width of the line round it or of it, in units. */
  line?: number;
  tone?: Tone;
  opacity?: number;
}

const round = (value: number) => Number(value.toFixed(1));

/** A smooth curve through points (Catmull–Rom, as Bézier segments). */
function smooth(points: readonly Point[], closed: boolean, tension = 0.5): string {
  const n = points.length;
  const at = (i: number): Point => points[closed ? (i + n) % n : Math.max(0, Math.min(n - 1, i))] ?? [0, 0];
  const [x0, y0] = at(0);
  let d = `M${round(x0)} ${round(y0)}`;
  for (let i = 0; i < (closed ? n : n - 1); i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const c1 = [p1[0] + ((p2[0] - p0[0]) * tension) / 3, p1[1] + ((p2[1] - p0[1]) * tension) / 3];
    const c2 = [p2[0] - ((p3[0] - p1[0]) * tension) / 3, p2[1] - ((p3[1] - p1[1]) * tension) / 3];
    d += `C${[...c1, ...c2, ...p2].map(round).join(' ')}`;
  }
  return closed ? `${d}Z` : d;
}

/** A filled body; `edge` parts it from what lies below it. */
export const body = (points: readonly Point[], edge = 0, fill: Tone = 'ink'): Mark => ({
  d: smooth(points, true),
  fill,
  ...(edge > 0 ? { line: edge, tone: 'paper' as const } : {}),
});

/** A whole outline from its right half, top to bottom. */
export const both = (half: readonly Point[]): Point[] => [
  ...half,
  ...[...half]
    .reverse()
    .filter(([x]) => Math.abs(x) > 0.01)
    .map(([x, y]): Point => [-x, y]),
];

/** The same on the other side. */
export const mirrored = (points: readonly Point[]): Point[] => points.map(([x, y]) => [-x, y]);

/** Both sides of something paired. */
export const pair = (draw: (side: 1 | -1) => Mark[]): Mark[] => [...draw(1), ...draw(-1)];

/** A tapered limb through its joints, with its width at each. */
export function limb(
  joints: readonly Point[],
  widths: readonly number[],
  side = 1,
  fill: Tone = 'ink',
): Mark {
  const [left, right]: [Point[], Point[]] = [[], []];
  joints.forEach(([x, y], i) => {
    const [ax, ay] = joints[Math.max(0, i - 1)] ?? [x, y];
    const [bx, by] = joints[Math.min(joints.length - 1, i + 1)] ?? [x, y];
    const [dx, dy] = [bx - ax, by - ay];
    const reach = Math.hypot(dx, dy) || 1;
    const half = (widths[i] ?? 1) / 2;
    left.push([side * (x - (dy / reach) * half), y + (dx / reach) * half]);
    right.push([side * (x + (dy / reach) * half), y - (dx / reach) * half]);
  });
  return { d: smooth([...left, ...right.reverse()], true, 0.55), fill };
}

/** A line within a body. */
export const line = (points: readonly Point[], width = 1.2, opacity = 0.8, tone: Tone = 'paper'): Mark => ({
  d: smooth(points, false),
  line: width,
  tone,
  opacity,
});

/** A dot, with a ring round it when it has an edge. */
export const dot = (x: number, y: number, r: number, fill: Tone = 'paper', opacity = 1, edge = 0): Mark => ({
  d: `M${round(x - r)} ${round(y)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`,
  fill,
  opacity,
  ...(edge > 0 ? { line: edge, tone: 'paper' as const } : {}),
});

/** Joints of a leg from its root: shares of its length, and how far it turns at each. */
export function jointed(
  root: Point,
  degrees: number,
  length: number,
  shares: readonly number[],
  turns: readonly number[],
): Point[] {
  let angle = (degrees * Math.PI) / 180;
  const joints: Point[] = [root];
  shares.forEach((share, i) => {
    angle += turns[i] ?? 0;
    const [x, y] = joints[joints.length - 1] ?? root;
    joints.push([x + Math.cos(angle) * length * share, y + Math.sin(angle) * length * share]);
  });
  return joints;
}
