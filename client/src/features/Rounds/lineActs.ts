import type { RoundLine, Schemas } from '../../api/client';

export type LineChoice = Schemas['LineChoice'];

/** What can be logged with one key or tap, the obvious one first; the server says what that is. */
export const primaryChoices = (line: RoundLine): LineChoice[] => line.choices.filter((c) => !c.isRefusal);

/** The ways in which an offer was turned down, for the menu behind "Refused". */
export const refusals = (line: RoundLine): LineChoice[] => line.choices.filter((c) => c.isRefusal);

/** The choice that logs what a whole shelf can be given in one go. */
export const batchChoice = (line: RoundLine, what: 'water' | 'feed'): LineChoice | undefined =>
  line.choices.find((c) => c.key === (what === 'feed' ? 'f' : 'w'));
