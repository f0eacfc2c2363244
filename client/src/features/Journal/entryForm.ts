import type { FC } from 'react';
import { type Act, Refusal, type Schemas } from '../../api/client';
import type { LengthUnit } from '../../ui/lengths';

export type ActKind = Act['kind'];
export type ActOf<K extends ActKind> = Extract<Act, { kind: K }>;

/** The animal an entry is about, as far as its form needs it. */
export interface ActSubject {
  stockId: string;
  name: string;
  code: string;
  species: string;
  group: string;
  /** Kept and counted as many. */
  many: boolean;
  /** It is a shared tank, not an animal. */
  isTank: boolean;
  /** The shared tank in which it lives. */
  tankId: string | null;
  /** Numbered vials of a brood; none for one animal or a colony. */
  vials: readonly number[] | null;
  /** By what the sex of its group can be told. */
  sexShowsBy: readonly Schemas['SexEvidence'][];
  /** How water is given to its group. */
  waters: readonly Schemas['WaterKind'][];
  /** The wait that is under way, other than for a molt. */
  waiting: Schemas['VigilKind'] | null;
  /** Waits that can begin in its group. */
  waits: readonly Schemas['WaitWords'][];
  /** Parts worth measuring, its size first. */
  parts: readonly Schemas['BodyPart'][];
  hush: readonly Schemas['HushLine'][];
  sex: Schemas['Sex'];
  mature: boolean;
  hasMolted: boolean;
  count: number;
  tonight: string;
  /** Sources of calcium there are, and those that stand in it. */
  calcium: {
    sources: readonly Schemas['CalciumSource'][];
    standing: readonly { sourceId: string; name: string }[];
  };
  /** What it lives in, once that was measured. */
  enclosure: Schemas['Enclosure'] | null;
  /** What the core would offer, to begin the form with. */
  offer: Schemas['MealOffer'] | null;
}

/** Numbers of a form while they are still text, by field. */
export type Texts = Readonly<Record<string, string>>;

/** What the fields of a form are given. */
export interface FieldsProps<K extends ActKind> {
  act: ActOf<K>;
  change: (next: ActOf<K>) => void;
  texts: Texts;
  write: (field: string, text: string) => void;
  subject: ActSubject;
  unit: LengthUnit;
  error: (field: string) => string | undefined;
  busy: boolean;
  /** Whether the one thing that must be said has been said. */
  said: boolean;
  /** Says it. */
  say: (act: ActOf<K>) => void;
  /** Logs the act at once, for forms in which choosing is all there is to do. */
  submit: (act: ActOf<K>) => void;
}

/** The form of one kind of entry. */
export interface EntryForm<K extends ActKind> {
  title: string;
  /** The act with which a new form begins. */
  begin: (subject: ActSubject) => ActOf<K>;
  /** The numbers of an act as text; of a new one those that nobody has said are empty. */
  texts?: (act: ActOf<K>, isNew: boolean, unit: LengthUnit) => Texts;
  /** The act with its numbers, or what is wrong with them. */
  finish?: (act: ActOf<K>, texts: Texts, unit: LengthUnit) => ActOf<K> | Refusal;
  Fields: FC<FieldsProps<K>>;
  /** It can be about some of many; says how that is asked when it is left empty. */
  someOf?: (act: ActOf<K>, subject: ActSubject) => string;
  /** Choosing logs it: there is no button below. */
  oneTap?: boolean;
  /** It happens unseen, and can be found later. */
  foundLater?: boolean;
  /** It is about nights to come, not about one behind. */
  ahead?: boolean;
  wide?: boolean;
  /** What is missing until the keeper has said it; nothing of the kind happens by a default. */
  mustSay?: { field: string; text: string };
}

/** A whole number from text, or what is wrong with it. */
export function wholeNumber(field: string, text: string): number | Refusal {
  const value = Number(text);
  return Number.isInteger(value) && text.trim() !== ''
    ? value
    : new Refusal('', { [field]: ['Write a whole number.'] }, 400);
}

/** A whole number that may be left out, or what is wrong with it. */
export const wholeNumberIfAny = (field: string, text: string): number | null | Refusal =>
  text.trim() === '' ? null : wholeNumber(field, text);

/** Whole numbers with spaces between them, or what is wrong with them. */
export function wholeNumbers(field: string, text: string): number[] | Refusal {
  const parts = text.split(/[\s,;]+/).filter((part) => part !== '');
  const numbers = parts.map(Number);
  return numbers.length > 0 && numbers.every((n) => Number.isInteger(n))
    ? numbers
    : new Refusal('', { [field]: ['Write whole numbers with spaces between them.'] }, 400);
}

/** The same, or nothing. */
export const wholeNumbersIfAny = (field: string, text: string): number[] | null | Refusal =>
  text.trim() === '' ? null : wholeNumbers(field, text);

/** A number that may be left out, or what is wrong with it. */
export function numberIfAny(field: string, text: string): number | null | Refusal {
  const value = Number(text.replace(',', '.'));
  return text.trim() === ''
    ? null
    : Number.isFinite(value)
      ? value
      : new Refusal('', { [field]: ['Write a number.'] }, 400);
}

/** Nothing for an empty text. */
export const textOrNone = (text: string): string | null => (text === '' ? null : text);
