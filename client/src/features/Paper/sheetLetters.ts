import type { Act, RoundLine } from '../../api/client';
import { primaryActs } from '../Rounds/lineActs';

/** Letters of the boxes on the sheet, in the order in which they stand there. */
export const boxes: readonly (readonly [string, string])[] = [
  ['F', 'fed'],
  ['R', 'refused, taken out'],
  ['N', 'not seen, left in'],
  ['W', 'watered'],
  ['X', 'leftovers out'],
  ['K', 'looked, no sign'],
];

/** What came of reading the letters of one line. */
export interface Read {
  acts: Act[];
  words: string;
  /** What cannot be: an unknown letter, or food where none was offered. */
  trouble: string | null;
}

/** Reads the letters written behind one line of the sheet, e.g. "fw": fed and watered. */
export function readLetters(letters: string, line: RoundLine): Read {
  const acts: Act[] = [];
  const words: string[] = [];
  const offered = (outcome: 'eaten' | 'battedAway' | 'notSeen'): Act | null =>
    line.offer === null
      ? null
      : {
          kind: 'offered',
          feederId: line.offer.feederId,
          sizeClassId: line.offer.sizeClassId,
          count: line.offer.count,
          preparation: line.offer.preparation,
          outcome,
          leftIn: null,
        };
  const water: Act = primaryActs({ ...line, act: 'water' })[0]?.act ?? { kind: 'watered', water: 'dish' };
  const meaning: Record<string, Act | null> = {
    f: offered('eaten'),
    r: offered('battedAway'),
    n: offered('notSeen'),
    w: water,
    x: { kind: 'leftoversRemoved' },
    k: { kind: 'looked' },
  };
  for (const letter of letters.toLowerCase().replaceAll(/[\s,.]/g, '')) {
    const act = meaning[letter];
    if (act === undefined) {
      return { acts: [], words: '', trouble: `“${letter}” is no box of the sheet` };
    }
    if (act === null) {
      return { acts: [], words: '', trouble: 'no food was on this line: log it on the animal’s page' };
    }
    acts.push(act);
    words.push(boxes.find(([box]) => box.toLowerCase() === letter)?.[1] ?? '');
  }
  // Leftovers come out before anything new goes in, however the boxes were ticked.
  acts.sort((a, b) => Number(b.kind === 'leftoversRemoved') - Number(a.kind === 'leftoversRemoved'));
  return { acts, words: words.join(', '), trouble: null };
}

/** Finds the line meant by "a1-3", "A1·03" or its number on the sheet. */
export function lineMeant(text: string, lines: readonly RoundLine[]): number {
  const place = /^([a-z]{1,2})(\d{1,2})\s*[·.\-/]\s*(\d{1,3})$/i.exec(text.trim());
  if (place !== null) {
    const code = `${(place[1] ?? '').toUpperCase()}${Number(place[2])}·${String(Number(place[3])).padStart(2, '0')}`;
    return lines.findIndex((line) => line.place === code);
  }
  return /^\d+$/.test(text.trim()) && Number(text) <= lines.length ? Number(text) - 1 : -1;
}
