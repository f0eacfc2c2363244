import type { Act, RoundLine, Schemas } from '../../api/client';

/** One thing that can be done at a line with one key or tap. */
export interface LineAct {
  key: string;
  label: string;
  /** Shorter, for a phone. */
  short: string;
  act: Act;
}

type Offered = Extract<Act, { kind: 'offered' }>;

const offer = (line: RoundLine, outcome: Schemas['OfferOutcome']): Offered[] =>
  line.offer === null
    ? []
    : [
        {
          kind: 'offered',
          feederId: line.offer.feederId,
          sizeClassId: line.offer.sizeClassId,
          count: line.offer.count,
          preparation: line.offer.preparation,
          outcome,
          leftIn: null,
        },
      ];

/** The obvious acts of a line, the first one the obvious one. */
export function primaryActs(line: RoundLine): LineAct[] {
  const water: LineAct = {
    key: 'w',
    label: 'Water given',
    short: 'Watered',
    act: { kind: 'watered', water: line.do.startsWith('Fill') ? 'dish' : 'mist' },
  };
  switch (line.act) {
    case 'feed':
      return offer(line, 'eaten').map((act) => ({ key: 'f', label: 'Fed as offered', short: 'Fed', act }));
    case 'removeLeftovers':
      return [{ key: 'x', label: 'Taken out', short: 'Out', act: { kind: 'leftoversRemoved' } }];
    case 'checkFangs':
      return [
        { key: 'b', label: 'Black: may eat', short: 'Black', act: { kind: 'fangsChecked', hard: true } },
        { key: 'n', label: 'Not yet', short: 'Not yet', act: { kind: 'fangsChecked', hard: false } },
      ];
    case 'water':
    case 'help':
      return [water];
    // Whether it has molted is answered by a form, or put off: neither is one act.
    case 'lookForMolt':
    case 'none':
      return [];
  }
}

/** The ways in which an offer was turned down, for the menu behind "Refused". */
export function refusals(line: RoundLine): LineAct[] {
  const named: [Schemas['OfferOutcome'], string, string][] = [
    ['battedAway', '1', 'Batted it away, taken out'],
    ['fled', '2', 'Fled from it, taken out'],
    ['killedAndLeft', '3', 'Killed and left it, still in'],
    ['notSeen', '4', 'Not seen: left in'],
  ];
  return named.flatMap(([outcome, key, label]) =>
    offer(line, outcome).map((act) => ({ key, label, short: label, act })),
  );
}
