import { Refusal, type RulebookView, type StockDetails } from '../../api/client';
import { type LengthUnit, toMm } from '../../ui/lengths';

/** An animal of which nothing is known yet but that it came tonight. */
export const fresh = (rules: RulebookView, tonight: string): StockDetails => ({
  kind: 'specimen',
  group: rules.groups[0]?.id ?? '',
  speciesId: rules.species.find((s) => s.group === rules.groups[0]?.id)?.id ?? null,
  otherSpecies: null,
  nickname: '',
  sex: 'unknown',
  acquiredOn: tonight,
  acquiredFrom: null,
  line: null,
  moltsAtArrival: null,
  matureAtArrival: false,
  hatchedOn: null,
  count: 1,
});

/** A draft as a link asks for it: of a species that is only a guess yet, found on a plant. */
export function asked(draft: StockDetails, rules: RulebookView, search: URLSearchParams): StockDetails {
  const species = rules.species.find((s) => s.id === search.get('guess'));
  return species === undefined
    ? draft
    : { ...draft, group: species.group, speciesId: species.id, tags: ['species a guess'] };
}

export const textOf = (value: number | null) => (value === null ? '' : String(value));

export type Group = RulebookView['groups'][number] | undefined;

/** Molts as typed: a number of molts, or an instar such as `i6`. Nothing when empty; not a number when unreadable. */
export function readMolts(text: string, group: Group): number | null {
  const mark = group?.instarMark.toLowerCase() ?? 'i';
  const typed = text.trim().toLowerCase();
  if (typed === '') {
    return null;
  }
  return typed.startsWith(mark)
    ? Number(typed.slice(mark.length)) - (group?.instarAtHatching ?? 1)
    : Number(typed);
}

/** What was typed, said both ways. */
export function instarHint(text: string, group: Group): string | undefined {
  const molts = readMolts(text, group);
  return molts === null || !Number.isInteger(molts) || group === undefined
    ? undefined
    : `${molts} molts: ${group.instarMark}${molts + group.instarAtHatching}`;
}

/** What cannot be sent because it is no number at all; ranges are the server's to judge. */
export function unreadable(details: StockDetails, length: string, unit: LengthUnit): Refusal | null {
  const errors: Record<string, string[]> = {};
  if (details.moltsAtArrival !== null && !Number.isInteger(details.moltsAtArrival)) {
    errors['moltsAtArrival'] = ['Write a whole number or an instar like i6, or leave it empty.'];
  }
  if (!Number.isInteger(details.count)) {
    errors['count'] = ['Write a whole number.'];
  }
  if (length.trim() !== '' && !Number.isFinite(toMm(length, unit))) {
    errors['lengthMm'] = [`Write a number in ${unit}.`];
  }
  return Object.keys(errors).length === 0 ? null : new Refusal('', errors, 400);
}
