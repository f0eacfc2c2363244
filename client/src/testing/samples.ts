import type { RoundLine, RoundView, Schemas } from '../api/client';

export const offer: Schemas['MealOffer'] = {
  feederId: 'cricket',
  sizeClassId: 'small',
  count: 2,
  preparation: 'preKilled',
  what: '2 pre-killed small crickets',
  animals: 1,
  serving: '',
};

/** A line of the round. */
export const line = (changed: Partial<RoundLine>): RoundLine => ({
  stockId: 'a',
  place: 'A1·03',
  name: 'Tansy',
  species: 'Tliltocatl albopilosus',
  phase: 'open',
  phaseWord: 'open',
  shutters: 0,
  state: 'due',
  act: 'feed',
  do: 'Offer 2 pre-killed small crickets',
  detail: '',
  offer,
  mind: [],
  choices: [],
  preyIn: null,
  outAt: null,
  vials: null,
  seconds: 60,
  hazard: null,
  signs: true,
  waters: ['dish'],
  quarantine: false,
  isSick: false,
  nextDue: null,
  section: 'shelf',
  together: null,
  beside: [],
  look: null,
  ...changed,
});

/** A line that is done. */
export const done = (place: string): RoundView['done'][number] => ({
  stockId: place,
  place,
  name: place,
  entryId: place,
  text: 'dish filled',
  at: '2026-11-23T20:00:00Z',
  by: 'Keeper',
});

/** A shelf with one letter for each slot that is taken. */
export const shelf = (code: string, slots: number[], states: string): Schemas['RoundShelf'] => ({
  code,
  quarantine: false,
  note: '',
  slots,
  states,
});

/** A round of three shelves. */
export const round: RoundView = {
  seen: 0,
  roomName: 'Room',
  night: '2026-11-23',
  progress: { done: 1, total: 3, passBy: 1, resting: 1, secondsLeft: 60 },
  left: null,
  // The server gives the walking order: here the keeper walks B before A.
  shelves: [shelf('B1', [1], 'r'), shelf('A1', [2, 4, 5], 'doh'), shelf('A2', [1], 'o')],
  lines: [
    line({ stockId: '1', place: 'A1·04' }),
    line({ stockId: '2', place: 'A1·05', state: 'passBy', act: 'none' }),
    line({ stockId: '4', place: 'A2·01' }),
  ],
  done: [done('A1·02')],
  chores: [],
  kit: [],
  pace: [],
  waterUnknown: [],
  firstEvening: null,
};
