import { type Act, Refusal, type Schemas } from '../../api/client';
import { fromDays, toDays } from '../../ui/dates';
import { fromMm, type LengthUnit, toMm } from '../../ui/lengths';
import { freshEnclosure } from '../Housing/nextEnclosure';
import type { ActOf, FormKind } from './acts';

/** The animal an entry is about, as far as its form needs it. */
export interface ActSubject {
  stockId: string;
  name: string;
  code: string;
  species: string;
  group: string;
  /** Kept and counted as many. */
  many: boolean;
  /** Numbered vials of a brood; none for one animal or a colony. */
  vials: number | null;
  /** Parts worth measuring, its size first. */
  parts: readonly Schemas['BodyPart'][];
  hush: readonly Schemas['HushLine'][];
  mature: boolean;
  hasMolted: boolean;
  count: number;
  tonight: string;
  /** What it lives in, once that was measured. */
  enclosure: Schemas['Enclosure'] | null;
  /** What the core would offer, to begin the form with. */
  offer: Schemas['MealOffer'] | null;
}

/** What is in the form: the act itself, and numbers still as text. */
export interface Draft {
  act: ActOf<FormKind>;
  number: string;
}

/** A form to begin with: a new act, or the one that is corrected. */
export function draftOf(
  kind: FormKind,
  subject: ActSubject,
  unit: LengthUnit,
  former?: ActOf<FormKind>,
): Draft {
  const act = former ?? newAct(kind, subject);
  switch (act.kind) {
    case 'offered':
    case 'counted':
      return { act, number: String(act.count) };
    case 'measured':
      return { act, number: former === undefined ? '' : fromMm(act.lengthMm, unit) };
    default:
      return { act, number: '' };
  }
}

function newAct(kind: FormKind, subject: ActSubject): ActOf<FormKind> {
  switch (kind) {
    case 'offered':
      return {
        kind,
        feederId: subject.offer?.feederId ?? 'roach-nymph',
        sizeClassId: subject.offer?.sizeClassId ?? 'small',
        count: subject.offer?.count ?? subject.count,
        preparation: subject.offer?.preparation ?? 'live',
        outcome: 'eaten',
        leftIn: null,
      };
    case 'signSeen':
      return { kind, signId: '' };
    case 'molted':
      return { kind, ultimate: false, mismolt: false };
    case 'measured':
      return {
        kind,
        part: subject.parts[0] ?? 'body',
        lengthMm: 0,
        fromExuvia: false,
        errorMm: null,
        pictureId: null,
      };
    case 'moved':
      return { kind, place: subject.code };
    case 'counted':
      return { kind, count: subject.count };
    case 'handled':
      return { kind, care: 'handle' };
    case 'limbNoted':
      return { kind, limb: '', state: 'lost' };
    case 'sexSeen':
      return { kind, sex: 'female', by: 'shedSkin' };
    case 'noted':
      return { kind, text: '' };
    case 'putOff':
      return { kind, untilNight: fromDays(toDays(subject.tonight) + 3), reason: null };
    case 'housed':
      return { kind, enclosure: subject.enclosure ?? freshEnclosure, rehoused: false };
    case 'departed':
      return { kind, departure: 'died', remark: null };
  }
}

/** The act as it will be sent, or what is missing. */
export function finish({ act, number }: Draft, unit: LengthUnit): Act | Refusal {
  switch (act.kind) {
    case 'offered':
    case 'counted': {
      const count = Number(number);
      return Number.isInteger(count) && number.trim() !== ''
        ? { ...act, count }
        : new Refusal('', { count: ['Write a whole number.'] }, 400);
    }
    case 'measured': {
      const lengthMm = toMm(number, unit);
      return Number.isFinite(lengthMm)
        ? { ...act, lengthMm }
        : new Refusal('', { lengthMm: [`Write a number in ${unit}.`] }, 400);
    }
    default:
      return act;
  }
}
