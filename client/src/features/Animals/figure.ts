import type { Schemas } from '../../api/client';
import { ant, beetle, mantis } from './insects';
import type { Mark } from './marks';
import { caterpillar, crab, eggs, isopod, moth, pupa } from './others';
import { type Build, jumpingSpider, scorpion, tarantula } from './spiders';

/** Which animal is drawn, and how it is built. */
export interface FigureOf extends Partial<Build> {
  group: string;
  stage: Schemas['Stage'];
  /** A queen rather than a worker. */
  queen?: boolean;
}

/** A drawing with where the body lies in it: what a ruler beside it measures, and all that is drawn. */
export interface Figure {
  marks: readonly Mark[];
  /** Whether its head is up, or to the left. */
  head: 'up' | 'left';
  /** Ends of the body along it, head first. */
  body: readonly [number, number];
  /** Left, top, right and bottom of the whole drawing. */
  box: Box;
  /** What is drawn where the body matters and long legs would make it small: they run out of the picture. */
  near?: Box;
}

type Box = readonly [number, number, number, number];

/** Legs of a spider drawn plainly, from tip to tip, as a multiple of its body. */
export const plainLegSpan = 1.9;

/** The drawing of an animal of a group at a stage of life. */
export function figureOf(of: FigureOf): Figure {
  const build: Build = { abdomen: of.abdomen ?? 1, legs: of.legs ?? 1, lost: of.lost };
  const reach = (across: number) => across * Math.max(0.4, build.legs);
  switch (of.group) {
    case 'jumping-spider':
      return {
        marks: jumpingSpider(build),
        head: 'up',
        body: [-41, 59],
        box: [-reach(72), Math.min(-56, -20 - reach(60)), reach(72), Math.max(62, reach(62))],
        near: [-56, -58, 56, 62],
      };
    case 'scorpion':
      return { marks: scorpion(build), head: 'up', body: [-34, 50], box: [-68, -98, 68, 95] };
    case 'mantis':
      return {
        marks: mantis(build, of.stage === 'adult'),
        head: 'left',
        body: [-72, 64],
        box: [-105, -86, 68, 82],
      };
    case 'beetle':
      return of.stage === 'pupa'
        ? { marks: pupa(), head: 'up', body: [-44, 52], box: [-22, -46, 22, 54] }
        : { marks: beetle(build), head: 'up', body: [-58, 60], box: [-76, -90, 76, 62] };
    case 'hermit-crab':
      return { marks: crab(), head: 'left', body: [-36, 56], box: [-82, -62, 58, 64] };
    case 'isopod':
      return { marks: isopod(), head: 'up', body: [-49, 66], box: [-36, -64, 36, 68] };
    case 'ant':
      return of.queen === true
        ? { marks: ant(true), head: 'left', body: [-46, 89], box: [-82, -28, 91, 46] }
        : { marks: ant(false), head: 'left', body: [-46, 66], box: [-82, -28, 68, 46] };
    case 'moth':
      return of.stage === 'egg'
        ? { marks: eggs(), head: 'up', body: [-20, 22], box: [-62, -24, 66, 34] }
        : of.stage === 'pupa'
          ? { marks: pupa(), head: 'up', body: [-44, 52], box: [-22, -46, 22, 54] }
          : of.stage === 'adult'
            ? { marks: moth(), head: 'up', body: [-36, 44], box: [-80, -64, 80, 48] }
            : { marks: caterpillar(), head: 'left', body: [-78, 66], box: [-80, -12, 70, 30] };
    default:
      return {
        marks: tarantula(build),
        head: 'up',
        body: [-43, 69],
        box: [-reach(108), Math.min(-68, -24 - reach(106)), reach(108), Math.max(81, reach(124))],
        near: [-52, -68, 52, 81],
      };
  }
}

/** A drawing laid down with the head to the right, for a ruler below it; ends in its own units. */
export interface Lying {
  figure: Figure;
  /** What turns it so. */
  turn: string;
  tail: number;
  head: number;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** Lays a drawing down with the head to the right, as near as it can be looked at. */
export function lying(figure: Figure): Lying {
  const [left, top, right, bottom] = figure.near ?? figure.box;
  const [front, back] = figure.body;
  const ends = { figure, tail: -back, head: -front };
  return figure.head === 'up'
    ? { ...ends, turn: 'rotate(90)', left: -bottom, right: -top, top: left, bottom: right }
    : { ...ends, turn: 'scale(-1 1)', left: -right, right: -left, top, bottom };
}
