import type { RoundLine } from '../../api/client';

/** Lines of which the same can be logged in one go, as the server says; most of them first. */
export function byWord(lines: readonly RoundLine[]): { word: string; lines: RoundLine[] }[] {
  const words = new Map<string, RoundLine[]>();
  for (const line of lines) {
    if (line.together !== null) {
      words.set(line.together.word, [...(words.get(line.together.word) ?? []), line]);
    }
  }
  return [...words]
    .map(([word, of]) => ({ word, lines: of }))
    .toSorted((a, b) => b.lines.length - a.lines.length);
}

/** Whether several lines of a shelf can be logged in one go. */
export const canBatch = (lines: readonly RoundLine[]): boolean =>
  byWord(lines).some((kind) => kind.lines.length > 1);
