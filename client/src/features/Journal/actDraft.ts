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
  /** By what the sex of its group can be told. */
  sexing: readonly Schemas['SexEvidence'][];
  /** How water is given to its group. */
  waters: readonly Schemas['WaterKind'][];
  /** The wait that is under way, other than for a molt. */
  waiting: Schemas['VigilKind'] | null;
  /** Waits that can begin in its group. */
  waits: readonly Schemas['WaitWords'][];
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
  /** Of many: how many it is about; empty for all. */
  some: string;
  /** Whether the one thing that must be said has been said; nobody departs by a default. */
  said: boolean;
}

/** A form to begin with: a new act, or the one that is corrected. */
export function draftOf(
  kind: FormKind,
  subject: ActSubject,
  unit: LengthUnit,
  former?: ActOf<FormKind>,
): Draft {
  const act = former ?? newAct(kind, subject);
  const said = former !== undefined || act.kind !== 'departed';
  const some = ofMany(act) && act.count != null ? String(act.count) : '';
  switch (act.kind) {
    case 'offered':
    case 'counted':
      return { act, number: String(act.count), some, said };
    case 'measured':
      return { act, number: former === undefined ? '' : fromMm(act.lengthMm, unit), some, said };
    default:
      return { act, number: '', some, said };
  }
}

/** Whether an entry can be about some of many. */
export const ofMany = (act: ActOf<FormKind>): act is ActOf<'signSeen' | 'began' | 'ended' | 'departed'> =>
  act.kind === 'signSeen' || act.kind === 'began' || act.kind === 'ended' || act.kind === 'departed';

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
      return { kind, sex: 'female', by: subject.sexing[0] ?? 'looks' };
    case 'noted':
      return { kind, text: '' };
    case 'putOff':
      return { kind, untilNight: fromDays(toDays(subject.tonight) + 3), reason: null };
    case 'housed':
      return { kind, enclosure: subject.enclosure ?? freshEnclosure, rehoused: false };
    case 'departed':
      return { kind, departure: 'givenAway', remark: null };
    case 'watered':
      return { kind, water: subject.waters[0] ?? 'dish' };
    case 'tubeSeen':
      return { kind, water: 'full' };
    case 'conditionSeen':
      return { kind, condition: 'normal' };
    case 'looked':
      return { kind };
    case 'leftoversRemoved':
      return { kind, feederIds: null };
    case 'fangsChecked':
      return { kind, hard: true };
    case 'began':
      return { kind, vigil: subject.waits[0]?.vigil ?? 'young' };
    case 'ended':
      return { kind, vigil: subject.waiting ?? 'young', end: 'asHoped' };
    case 'chilled':
      return { kind, intoCold: true };
  }
}

/** The act as it will be sent, or what is missing. */
export function finish({ act, number, some, said }: Draft, unit: LengthUnit): Act | Refusal {
  if (!said) {
    return new Refusal('', { departure: ['Say how it left.'] }, 400);
  }
  if (ofMany(act)) {
    const count = some.trim() === '' ? null : Number(some);
    return count === null || Number.isInteger(count)
      ? { ...act, count }
      : new Refusal('', { count: ['Write a whole number, or leave it empty for all of them.'] }, 400);
  }
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
