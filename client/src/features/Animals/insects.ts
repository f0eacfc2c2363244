import { at, body, both, dot, jointed, limb, line, type Mark, pair, type Point } from './marks';
import type { Build } from './spiders';

/** A ground beetle from above. */
export const beetle = (build: Build): Mark[] => [
  ...(
    [
      [-20, -38, 48, 0.5],
      [-2, 14, 50, -0.35],
      [10, 40, 62, -0.3],
    ] as const
  ).flatMap(([y, angle, length, bend]) => {
    const joints = jointed(
      [10, y],
      angle,
      length * build.legs,
      [0.18, 0.36, 0.3, 0.2],
      [0, 0, bend, -bend * 0.8],
    );
    return pair((side) => [limb(joints, [6, 7, 4.5, 3, 1.6], side)]);
  }),
  ...pair((side) => [
    limb(at('5,-53 13,-68 24,-80 34,-88'), [2.4, 2, 1.8, 1.4], side),
    body(at('2,-56 8,-58 9,-66 3,-74 5,-65 1,-60').map(([x, y]): Point => [side * x, y])),
  ]),
  body(both(at('0,-58 8,-57 11,-49 9,-43 0,-42')), 1.2),
  body(both(at('0,-45 13,-44 19,-34 16,-23 12,-19 0,-19')), 1.3),
  body(both(at('0,-19 14,-19 24,-4 26,18 20,42 8,58 0,60')), 1.3),
  line(at('0,-17 0,58'), 1.5, 0.9),
  ...[5, 10, 15].flatMap((x) =>
    pair((side) => [
      line(
        [
          [side * x, -12 + x * 0.2],
          [side * x * 1.25, 16],
          [side * x * 0.8, 48 - x * 0.4],
        ],
        0.7,
        0.45,
      ),
    ]),
  ),
];

/** A leg on the ground: hip, knee and ankle, and a foot that points ahead. */
function standing(joints: string, foot: number, widths: readonly number[]): Mark {
  const leg = at(joints);
  const [x, y] = leg[leg.length - 1] ?? [0, 0];
  return limb([...leg, [x - foot, y + 3]], widths);
}

/** A mantis from the side, its head to the left; nymphs have no wings. */
export const mantis = (build: Build, winged: boolean): Mark[] => [
  body([
    [-30, 4],
    [-8, 0],
    [22, 4],
    [56, 14],
    [62, 20],
    [50, 17 + 7 * build.abdomen],
    [18, 10 + 12 * build.abdomen],
    [-14, 14],
    [-30, 10],
  ]),
  ...(winged ? [body(at('-28,3 0,-2 34,2 66,12 40,10 0,6'), 1)] : []),
  limb(at('-26,7 -44,-14 -60,-36'), [10, 7, 6]),
  body(at('-62,-48 -55,-43 -58,-34 -68,-32 -72,-40')),
  dot(-64, -43, 3.4),
  ...[0, 5].map((dx) =>
    line(
      [
        [-68, -46 - dx * 0.3],
        [-84, -64 - dx],
        [-104, -74 - dx * 2],
      ],
      1.1,
      1,
      'ink',
    ),
  ),
  limb(at('-54,-24 -72,-14 -86,0'), [6, 8, 5]),
  limb(at('-86,0 -76,-14 -66,-22'), [5, 6, 2.5]),
  ...[0, 1, 2, 3, 4, 5].map((i) =>
    line(
      [
        [-84 + i * 3.2, -2 - i * 3.2],
        [-81 + i * 3.2, -2 - i * 3.4],
      ],
      0.9,
    ),
  ),
  ...['-20,12 -40,34 -50,74', '-8,14 -4,40 -14,76', '4,16 34,34 42,76'].map((joints) =>
    standing(joints, 9, [4.5, 4, 2.4, 1.2]),
  ),
  ...[0, 1, 2, 3, 4].map((i) =>
    line(
      [
        [10 + i * 9, 12 + i * 1.6],
        [9 + i * 9, 20 + i * 0.6],
      ],
      0.8,
      0.5,
    ),
  ),
];

/** An ant from the side, her head to the left. */
export function ant(queen: boolean): Mark[] {
  const gaster = queen ? 1.35 : 1;
  const chest = queen ? 1.45 : 1;
  return [
    ...['-8,4 -30,-6 -40,40', '2,6 0,18 -4,42', '10,4 36,-8 46,40'].map((joints) =>
      standing(joints, 7, [4, 3.4, 2.2, 1.2]),
    ),
    body([
      [24, -4],
      [34, -12 * gaster],
      [50 * gaster, -14 * gaster],
      [64 * gaster, -6],
      [66 * gaster, 6],
      [50 * gaster, 14 * gaster],
      [32, 10],
      [24, 4],
    ]),
    ...[0, 1, 2].map((i) =>
      line(
        [
          [36 + i * 11 * gaster, -11 * gaster + i],
          [38 + i * 11 * gaster, 0],
          [36 + i * 11 * gaster, 11 * gaster - i],
        ],
        1,
        0.6,
      ),
    ),
    body(at('16,-2 20,-10 24,-3 22,5 17,4'), 1),
    body(
      [
        [-22, -6],
        [-14, -12 * chest],
        [2, -13 * chest],
        [14, -6],
        [17, 4],
        [6, 9],
        [-12, 8],
        [-22, 2],
      ],
      1,
    ),
    ...(queen ? [line(at('-4,-14 2,-6 -2,2'), 1), line(at('6,-12 8,-4'), 1)] : []),
    body(at('-24,-12 -34,-16 -46,-8 -46,4 -36,9 -26,2'), 1),
    dot(-36, -6, 2.6),
    limb(at('-44,2 -52,7 -48,11'), [4, 3.5, 1.5]),
    limb(at('-42,-10 -54,-24 -70,-22 -80,-12'), [2.4, 2.2, 2.4, 1.8]),
  ];
}
