import { at, body, both, dot, limb, line, type Mark, pair, type Point } from './marks';

const upTo = (n: number) => Array.from({ length: n }, (_, i) => i);

/** An isopod from above. */
export const isopod = (): Mark[] => [
  ...upTo(7).flatMap((i) => {
    const y = -30 + i * 9.4;
    return pair((side) => [
      limb(
        [
          [20, y],
          [29, y + 1 + i],
          [33, y + 6 + i],
        ],
        [2.6, 2.2, 1.2],
        side,
      ),
    ]);
  }),
  ...pair((side) => [
    limb(at('6,-48 14,-58 22,-62 31,-60'), [3, 2.4, 2, 1.2], side),
    limb(at('5,54 8,66'), [4, 1.6], side),
  ]),
  ...upTo(5).map((i) =>
    body(
      both([
        [0, 36 + i * 4.4],
        [15 - i * 1.7, 36.5 + i * 4.4],
        [16 - i * 1.8, 41 + i * 4.4],
        [0, 42 + i * 4.4],
      ]),
      0.9,
    ),
  ),
  body(both(at('0,56 5,56 3,63 0,66')), 0.9),
  ...[19, 22, 24, 24.5, 24, 22.5, 20].map((w, i) => {
    const y = -38 + i * 10.6;
    return body(
      both([
        [0, y],
        [w * 0.7, y + 0.8],
        [w, y + 5],
        [w + 1.5, y + 12.5],
        [w * 0.6, y + 11.6],
        [0, y + 11.4],
      ]),
      1,
    );
  }),
  body(both(at('0,-49 8,-48 12,-41 9,-36 0,-35')), 1),
  ...pair((side) => [dot(side * 8.5, -43, 1.6)]),
];

/** A land hermit crab from the side, its head to the left. */
export const crab = (): Mark[] => [
  body(at('-2,-46 22,-52 46,-38 56,-10 48,16 26,26 4,20 -10,0 -12,-26')),
  line(at('44,-30 26,-34 12,-24 10,-8 20,4 34,2 40,-10 32,-18 24,-14'), 2, 0.9),
  ...at('14,-26 18,-8 20,8').map(([y, x]) =>
    limb(
      [
        [x + 16, y - 8],
        [x - 8, y + 4],
        [x - 16, y + 26],
        [x - 22, y + 40],
      ],
      [8, 8, 5.5, 1.6],
    ),
  ),
  limb(at('-8,-2 -26,0 -40,-2'), [13, 12, 12]),
  body(at('-36,-10 -54,-12 -70,-2 -76,10 -64,5 -58,8 -66,16 -52,16 -38,8'), 1),
  body(at('-8,-24 -22,-24 -32,-14 -26,-4 -10,-4'), 1),
  ...[0, 7].flatMap((dy) => [
    limb(
      [
        [-26, -18 + dy * 0.6],
        [-36, -30 + dy],
        [-39, -34 + dy],
      ],
      [3, 2.6, 4.4],
    ),
    dot(-39.5, -35 + dy, 1.2),
  ]),
  ...[0, 6].map((dx) =>
    line(
      [
        [-28, -12],
        [-52, -34 - dx],
        [-78, -46 - dx * 2],
      ],
      1.2,
      1,
      'ink',
    ),
  ),
];

/** A caterpillar from the side, its head to the left. */
export const caterpillar = (): Mark[] => [
  ...[11, 12, 13, 14, 14.5, 15, 15, 14.5, 14, 13, 11].flatMap((r, i) => {
    const [x, y] = [-58 + i * 11.5, 6 + 2 * Math.sin(i * 0.7)];
    const ring = upTo(12).map((k): Point => {
      const a = (k / 12) * 2 * Math.PI;
      return [x + Math.cos(a) * r * 0.78, y + Math.sin(a) * r];
    });
    return [body(ring, 1.1), dot(x, y, 1.7, 'paper', 0.8)];
  }),
  body(at('-70,-4 -62,-6 -60,8 -66,16 -76,12 -78,2'), 1.1),
  dot(-74, 6, 1.3),
  ...[-60, -50, -40].map((x) =>
    limb(
      [
        [x, 16],
        [x - 2, 24],
        [x - 5, 27],
      ],
      [4, 3, 1.2],
    ),
  ),
  ...[-8, 4, 15, 27, 58].map((x) =>
    limb(
      [
        [x, 17],
        [x, 25],
        [x, 28],
      ],
      [6.5, 6, 8],
    ),
  ),
];

/** A pupa. */
export const pupa = (): Mark[] => [
  body(both(at('0,-44 13,-40 20,-22 19,0 15,22 8,40 2,48 0,52'))),
  ...at('4,17 14,15.5 23,13.5 31,11 38,8').map(([y, w]) =>
    line(
      [
        [-w, y - 2],
        [0, y + 1],
        [w, y - 2],
      ],
      1.1,
      0.7,
    ),
  ),
  ...pair((side) => [
    line(
      [
        [side * 3, -34],
        [side * 14, -16],
        [side * 10, 2],
      ],
      1.1,
      0.7,
    ),
  ]),
  line(at('0,-36 0,0'), 0.8, 0.5),
];

const wings: readonly (readonly Point[])[] = [
  at('4,-26 30,-48 66,-60 78,-52 70,-26 52,-4 24,2 5,-6'),
  at('5,-8 26,0 48,2 56,20 44,42 22,46 9,24'),
];

/** A moth or butterfly with its wings spread. */
export const moth = (): Mark[] => [
  ...pair((side) => [
    ...wings.map((wing) =>
      body(
        wing.map(([x, y]): Point => [side * x, y]),
        1.2,
      ),
    ),
    dot(side * 48, -34, 6),
    dot(side * 48, -34, 3.2, 'ink'),
    dot(side * 34, 20, 5.4),
    dot(side * 34, 20, 2.8, 'ink'),
    line(
      [
        [side * 10, -20],
        [side * 40, -20],
        [side * 68, -38],
      ],
      0.9,
      0.5,
    ),
    line(
      [
        [side * 10, 6],
        [side * 28, 30],
        [side * 44, 36],
      ],
      0.9,
      0.5,
    ),
    limb(at('3,-34 14,-48 24,-56'), [2, 6, 1.5], side, 'soft'),
  ]),
  body(both(at('0,-36 5,-34 8,-24 9,-8 8,10 7,28 4,40 0,44')), 1.2),
  ...[4, 12, 20, 28, 35].map((y) =>
    line(
      [
        [-6, y],
        [6, y],
      ],
      0.9,
      0.6,
    ),
  ),
];

/** A clutch of eggs on a leaf. */
export const eggs = (): Mark[] => [
  line(at('-60,22 -20,30 30,28 64,14'), 3, 1, 'soft'),
  ...at('-34,12 -18,14 -2,15 14,14 30,11 -26,-1 -10,1 6,1 22,-1 -2,-12 14,-12').flatMap(([x, y]) => [
    dot(x, y, 8.4, 'ink', 1, 1.2),
    dot(x - 2.6, y - 2.8, 1.5, 'paper', 0.8),
  ]),
];
