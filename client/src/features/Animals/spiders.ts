import { at, body, both, dot, jointed, limb, line, type Mark, pair, type Point } from './marks';

/** How an animal differs from the plain one of its group. */
export interface Build {
  /** Width of the abdomen against that of a well-fed one. */
  abdomen: number;
  /** Length of the legs against the plain drawing. */
  legs: number;
  /** A leg that is missing, 0–7 from the front left. */
  lost?: number | undefined;
}

const shares = [0.16, 0.27, 0.14, 0.22, 0.21];

function eightLegs(
  roots: readonly number[],
  angles: readonly number[],
  lengths: readonly number[],
  width: number,
  build: Build,
): Mark[] {
  return roots.flatMap((y, k) => {
    const angle = angles[k] ?? 0;
    const turns = angle < 0 ? [0, -0.3, 0.1, 0.42, 0.3] : [0, 0.3, -0.1, -0.42, -0.3];
    const joints = jointed([9, y], angle, (lengths[k] ?? 0) * build.legs, shares, turns);
    const widths = [1, 1.12, 0.98, 0.86, 0.7, 0.38].map((w) => w * width);
    return pair((side) => {
      if (build.lost === (side === 1 ? k + 4 : k)) {
        return [limb(joints.slice(0, 2), widths.slice(0, 2), side)];
      }
      return [
        limb(joints, widths, side),
        ...joints
          .slice(1, -1)
          .map(([x, jy], i) => dot(side * x, jy, (widths[i + 1] ?? 1) * 0.3, 'paper', 0.55)),
      ];
    });
  });
}

const fuller = (half: readonly Point[], by: number): Point[] => half.map(([x, y]) => [x * by, y]);

/** A tarantula from above. */
export const tarantula = (build: Build): Mark[] => [
  ...eightLegs([-24, -16, -8, 0], [-62, -22, 18, 58], [118, 104, 100, 124], 9, build),
  ...pair((side) => [limb(at('6,-30 15,-44 18,-56 14,-66'), [7, 7.5, 6.5, 4], side)]),
  body(both(fuller(at('0,2 12,8 22,24 24,42 17,60 5,68 0,69'), build.abdomen))),
  ...pair((side) => [limb(at('3,64 6,74 7,80'), [4, 3, 1.5], side)]),
  body(both(at('0,-34 9,-33 17,-25 20,-12 16,0 6,5 0,5')), 1.4),
  body(both(at('0,-43 6,-42 9,-35 7,-30 0,-29')), 1.2),
  line(at('-3.5,-9 0,-7.5 3.5,-9'), 1.6),
  ...[-70, -35, 0, 35].flatMap((a) =>
    pair((side) => [
      line(
        [
          [side * 4, -9 + a * 0.03],
          [side * (10 + Math.abs(a) * 0.03), -12 + a * 0.22],
        ],
        0.9,
        0.5,
      ),
    ]),
  ),
  line(at('0,14 0,58'), 0.9, 0.35),
];

/** A jumping spider from above. */
export const jumpingSpider = (build: Build): Mark[] => [
  ...eightLegs([-20, -11, -3, 4], [-58, -18, 24, 60], [66, 52, 52, 64], 10, build),
  body(both(fuller(at('0,8 13,11 21,24 20,42 10,56 0,59'), build.abdomen))),
  ...pair((side) => [limb(at('7,-36 14,-46 12,-54'), [7, 7, 5], side)]),
  body(both(at('0,-41 14,-40 21,-30 22,-12 15,4 5,9 0,9')), 1.4),
  ...(
    [
      [5, -38.5, 4.6],
      [13, -35, 2.8],
      [16, -24, 1.6],
      [16, -14, 2.3],
    ] as const
  ).flatMap(([x, y, r]) => pair((side) => [dot(side * x, y, r, 'ink', 1, 1.2)])),
  ...[22, 34, 45].map((y) =>
    line(
      [
        [-9, y],
        [0, y - 5],
        [9, y],
      ],
      1.2,
      0.6,
    ),
  ),
];

/** A scorpion from above, its tail laid out. */
export function scorpion(build: Build): Mark[] {
  const tail: readonly Point[] = at('0,50 2,62 7,74 16,84 28,89 39,86');
  const widths = [6, 6.5, 5.5, 4, 2];
  return [
    ...(
      [
        [-14, -14, 52],
        [-6, 8, 56],
        [2, 28, 60],
        [9, 46, 66],
      ] as const
    ).flatMap(([y, angle, length], k) => {
      const joints = jointed(
        [10, y],
        angle,
        length * build.legs,
        [0.2, 0.32, 0.26, 0.22],
        [-0.25, 0.1, 0.35, 0.1],
      );
      return pair((side) =>
        build.lost === (side === 1 ? k + 4 : k)
          ? [limb(joints.slice(0, 2), widths.slice(0, 2), side)]
          : [
              limb(joints, widths, side),
              ...joints
                .slice(1, -1)
                .map(([x, jy], i) => dot(side * x, jy, (widths[i + 1] ?? 1) * 0.3, 'paper', 0.55)),
            ],
      );
    }),
    ...pair((side) => [
      limb(at('10,-26 26,-34 36,-48 31,-60'), [8, 10, 10, 11], side),
      body(
        at('25,-56 38,-58 42,-72 35,-88 28,-97 30,-84 25,-78 20,-90 18,-76 20,-64').map(([x, y]): Point => [
          side * x,
          y,
        ]),
      ),
    ]),
    ...[0, 1, 2, 3, 4, 5, 6].map((i) =>
      body(
        both(
          fuller(
            [
              [0, -12 + i * 8.2],
              [15 - Math.abs(i - 2) * 1.1, -10 + i * 8.2],
              [14 - Math.abs(i - 2) * 1.2, -4.6 + i * 8.2],
              [0, -3.4 + i * 8.2],
            ],
            build.abdomen,
          ),
        ),
        1.1,
      ),
    ),
    body(both(at('0,-34 9,-34 15,-22 15,-12 0,-11')), 1.3),
    ...pair((side) => [dot(side * 3, -22, 1.7)]),
    ...tail.slice(0, -1).flatMap(([x, y], i) => {
      const [x2, y2] = tail[i + 1] ?? [x, y];
      return [
        limb(
          [
            [x, y],
            [(x + x2) / 2, (y + y2) / 2],
            [x2, y2],
          ],
          [10 - i, 10.5 - i, 9.4 - i],
        ),
        ...(i > 0 ? [dot(x, y, 1.6, 'paper', 0.7)] : []),
      ];
    }),
    body(at('38,91 46,90 50,82 49,70 43,62 46,74 42,80 37,82')),
  ];
}
