/** Where a command stands on the sheet of keys. */
export const sections = [
  'Everywhere',
  'Go to',
  'On the round',
  'On an animal’s page',
  'On the shelves',
] as const;

export type Section = (typeof sections)[number];

interface Entry {
  /** Names of keys as `KeyboardEvent.key` has them; two with a space between are pressed one after the other. */
  keys: readonly string[];
  title: string;
  section: Section;
}

const places = {
  round: ['r', 'Round', '/'],
  shelves: ['e', 'Shelves', '/shelves'],
  stock: ['s', 'Stock', '/stock'],
  pairing: ['p', 'Pairing', '/pairing'],
  nursery: ['n', 'Nursery', '/nursery'],
  colonies: ['c', 'Colonies', '/colonies'],
  larder: ['l', 'Larder', '/larder'],
  climate: ['t', 'Climate', '/climate'],
  almanac: ['a', 'Almanac', '/almanac'],
  guide: ['u', 'Guide', '/guide'],
  chores: ['k', 'Chores', '/chores'],
  rulebook: ['b', 'Rulebook', '/rulebook'],
  paper: ['w', 'Paper', '/paper'],
  honesty: ['y', 'Honesty', '/honesty'],
  bench: ['v', 'Bench', '/bench'],
  room: ['m', 'Room', '/room'],
  safekeeping: ['f', 'Safekeeping', '/safekeeping'],
  people: ['o', 'People', '/people'],
  about: ['i', 'About', '/about'],
} as const;

export type PlaceId = keyof typeof places;

/** Every place with the letter that stays its own: `g` and the letter go there. */
export const placeOf = (id: PlaceId) => {
  const [letter, word, path] = places[id];
  return { id, letter, word, path };
};

export const placeIds = Object.keys(places) as PlaceId[];

const own = {
  palette: {
    keys: ['Control+k', '/'],
    title: 'Find an animal, go somewhere, do something',
    section: 'Everywhere',
  },
  keys: { keys: ['h'], title: 'This sheet of keys', section: 'Everywhere' },
  'animal.add': { keys: [], title: 'Add an animal', section: 'Everywhere' },
  'animal.many': { keys: [], title: 'Write down many: paste a table', section: 'Everywhere' },
  'look.daylight': { keys: [], title: 'Look: Daylight', section: 'Everywhere' },
  'look.lantern': { keys: [], title: 'Look: Lantern', section: 'Everywhere' },
  'look.ember': { keys: [], title: 'Look: Ember', section: 'Everywhere' },
  'why.close': { keys: ['Escape'], title: 'Close the reasons', section: 'Everywhere' },
  undo: { keys: ['z'], title: 'Take the last entry back (ten seconds)', section: 'Everywhere' },
  'round.next': { keys: ['j', 'ArrowDown'], title: 'Next enclosure', section: 'On the round' },
  'round.former': { keys: ['k', 'ArrowUp'], title: 'Former enclosure', section: 'On the round' },
  'round.open': { keys: ['Enter'], title: 'Open the animal’s page', section: 'On the round' },
  'round.refused': { keys: ['r'], title: 'Refused, or what else came of it', section: 'On the round' },
  'round.more': { keys: ['e'], title: 'Something else', section: 'On the round' },
  'round.shelf': { keys: ['a'], title: 'All of this shelf, with exceptions', section: 'On the round' },
  'round.kit': { keys: ['c'], title: 'What to have ready', section: 'On the round' },
  'round.why': { keys: ['?'], title: 'Why', section: 'On the round' },
  'animal.more': { keys: ['e'], title: 'Something else', section: 'On an animal’s page' },
  'animal.why': { keys: ['?'], title: 'Why this phase', section: 'On an animal’s page' },
  'shelves.left': { keys: ['ArrowLeft'], title: 'Carry to the left', section: 'On the shelves' },
  'shelves.right': { keys: ['ArrowRight'], title: 'Carry to the right', section: 'On the shelves' },
  'shelves.up': { keys: ['ArrowUp'], title: 'Carry to the shelf above', section: 'On the shelves' },
  'shelves.down': { keys: ['ArrowDown'], title: 'Carry to the shelf below', section: 'On the shelves' },
  'shelves.take': { keys: ['m'], title: 'Take up the enclosure', section: 'On the shelves' },
  'shelves.set': { keys: ['Enter', ' '], title: 'Set it down', section: 'On the shelves' },
  'shelves.back': { keys: ['Escape'], title: 'Put it back', section: 'On the shelves' },
} as const satisfies Record<string, Entry>;

export type CommandId = keyof typeof own | `go.${PlaceId}`;

/** All that has a key of its own, once: keys, caps on buttons, the sheet and the palette read it from here. */
export const catalogue: Readonly<Record<CommandId, Entry>> = {
  ...own,
  ...(Object.fromEntries(
    placeIds.map((id): [string, Entry] => [
      `go.${id}`,
      { keys: [`g ${places[id][0]}`], title: places[id][1], section: 'Go to' },
    ]),
  ) as Record<`go.${PlaceId}`, Entry>),
};

const capWords: Partial<Record<string, string>> = {
  ArrowDown: '↓',
  ArrowUp: '↑',
  ArrowLeft: '←',
  ArrowRight: '→',
  ' ': 'Space',
  Escape: 'Esc',
  'Control+k': 'Ctrl K',
};

/** A key as it stands on a keyboard: "J", "↓", "G R". */
export const capOf = (key: string): string =>
  capWords[key] ?? (key.length === 1 || key.includes(' ') ? key.toUpperCase() : key);

/** The cap of a command's first key. */
export const keyOf = (id: CommandId): string => capOf(catalogue[id].keys[0] ?? '');
