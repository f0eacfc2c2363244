import type { Schemas } from '../../api/client';

type Grade = Schemas['SizeGrade'];

/** Grades that are told apart by a tap; the others are as most. */
export const grades: readonly (readonly [Grade, string])[] = [
  ['fast', 'Fast'],
  ['slow', 'Slow'],
  ['runt', 'Runts'],
];

/** How a grade is written in words, and beside a number. */
export const gradeMarks: Readonly<Record<Grade, { word: string; mark: string }>> = {
  fast: { word: 'fast', mark: '▲' },
  middling: { word: 'as most', mark: '' },
  slow: { word: 'slow', mark: '▽' },
  runt: { word: 'runt', mark: '▼' },
};
