import type { Act, RoundLine } from '../../api/client';

/** Letters of the boxes on the sheet, in the order in which they stand there. */
export const boxes: readonly (readonly [string, string])[] = [
  ['F', 'fed'],
  ['R', 'refused, taken out'],
  ['N', 'not seen, left in'],
  ['W', 'watered'],
  ['X', 'leftovers out'],
  ['K', 'looked, no sign'],
  ['D', 'upkeep done'],
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
  const food = line.choices.find((c) => c.key === 'f')?.acts ?? [];
  const offered = (outcome: 'eaten' | 'battedAway' | 'notSeen'): Act[] =>
    food.flatMap((act) => (act.kind === 'offered' ? [{ ...act, outcome, leftIn: null }] : []));
  const water = line.waters.map((way): Act => ({ kind: 'watered', water: way }));
  const meaning: Record<string, Act[]> = {
    f: offered('eaten'),
    r: offered('battedAway'),
    n: offered('notSeen'),
    w: water,
    x: [{ kind: 'leftoversRemoved', feederIds: null }],
    k: [{ kind: 'looked' }],
    d: line.act === 'tend' ? (line.choices[0]?.acts ?? []) : [],
  };
  for (const letter of letters.toLowerCase().replaceAll(/[\s,.]/g, '')) {
    const meant = meaning[letter];
    if (meant === undefined) {
      return { acts: [], words: '', trouble: `“${letter}” is no box of the sheet` };
    }
    if (meant.length === 0) {
      const none =
        letter === 'w'
          ? 'no water is poured there'
          : letter === 'd'
            ? 'no upkeep was on this line'
            : 'no food was on this line';
      return { acts: [], words: '', trouble: `${none}: log it on the animal’s page` };
    }
    acts.push(...meant);
    words.push(boxes.find(([box]) => box.toLowerCase() === letter)?.[1] ?? '');
  }
  // Leftovers come out before anything new goes in, and water before food, however the boxes were ticked.
  const rank = (act: Act) => (act.kind === 'leftoversRemoved' ? 0 : act.kind === 'watered' ? 1 : 2);
  acts.sort((a, b) => rank(a) - rank(b));
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
