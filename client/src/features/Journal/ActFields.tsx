import type { Dispatch, SetStateAction } from 'react';
import { type Act, Refusal, type Schemas } from '../../api/client';
import { Check, Choice, Field, TextField } from '../../ui/Field';
import { fromDays, toDays } from '../../ui/dates';
import { fromMm, type LengthUnit, toMm } from '../../ui/lengths';
import { EnclosureFields, freshEnclosure } from '../Housing/EnclosureFields';
import { type ActOf, bodyParts, cares, departures, type FormKind, limbStates, sexEvidence } from './acts';
import { OfferFields } from './OfferFields';
import { SignPicker } from './SignPicker';

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

type ErrorOf = (field: string) => string | undefined;

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

interface FieldsProps {
  draft: Draft;
  setDraft: Dispatch<SetStateAction<Draft>>;
  subject: ActSubject;
  unit: LengthUnit;
  error: ErrorOf;
  busy: boolean;
  /** Logs the act at once, for forms in which choosing is all there is to do. */
  submit: (act: ActOf<FormKind>) => void;
}

const widths: readonly Schemas['BodyPart'][] = ['carapaceWidth', 'abdomenWidth'];

/** What was done, and what the hush says against it. */
function CareFields({
  act,
  change,
  subject,
}: {
  act: ActOf<'handled'>;
  change: (next: ActOf<'handled'>) => void;
  subject: ActSubject;
}) {
  const against = subject.hush.find((line) => line.act === act.care && line.verdict === 'never');
  return (
    <>
      <Choice
        label="What was done"
        options={cares}
        value={act.care}
        onChange={(care) => change({ ...act, care })}
      />
      {against !== undefined && (
        <p role="alert" className="border-l-2 border-ember pl-3">
          {against.contributors[0]?.why.text} If it happened all the same, log it: the entry will be marked.
        </p>
      )}
    </>
  );
}

/** The fields that belong to a kind of entry. */
export function ActFields(props: FieldsProps) {
  const { draft, setDraft, subject, unit, error, busy, submit } = props;
  const { act } = draft;
  const change = (next: ActOf<FormKind>) => setDraft((d) => ({ ...d, act: next }));
  const number = (label: string, field: string, hint?: string) => (
    <TextField
      label={label}
      error={error(field)}
      hint={hint}

      inputMode="decimal"
      value={draft.number}
      onChange={(value) => setDraft((d) => ({ ...d, number: value }))}
    />
  );
  switch (act.kind) {
    case 'offered':
      return <OfferFields act={act} change={change} number={number} error={error} vials={subject.vials} />;
    case 'signSeen':
      return <SignPicker group={subject.group} busy={busy} onPick={(signId) => submit({ ...act, signId })} />;
    case 'molted':
      return (
        <div className="grid gap-2">
          {!subject.mature && (
            <Check
              label="This was the molt to adult"
              value={act.ultimate}
              onChange={(ultimate) => change({ ...act, ultimate })}
            />
          )}
          <Check
            label="Something went wrong: stuck or lost legs, bent body"
            value={act.mismolt}
            onChange={(mismolt) => change({ ...act, mismolt })}
          />
        </div>
      );
    case 'measured':
      return (
        <>
          <Choice
            label="What"
            options={bodyParts.filter(([p]) => subject.parts.includes(p) || widths.includes(p))}
            value={act.part}
            onChange={(part) => change({ ...act, part })}
          />
          {number(`Length in ${unit}`, 'lengthMm', 'Or with a unit: 6 cm, 2.4 in')}
          {subject.hasMolted && (
            <Check
              label="Taken from the shed skin (tells the size before that molt)"
              value={act.fromExuvia}
              onChange={(fromExuvia) => change({ ...act, fromExuvia })}
            />
          )}
        </>
      );
    case 'moved':
      return (
        <TextField
          label="New place"
          hint="Rack, shelf and slot, like A1·03 or a1-3"
          error={error('place')}

          value={act.place}
          onChange={(value) => change({ ...act, place: value })}
        />
      );
    case 'counted':
      return number('How many are there', 'count');
    case 'handled':
      return <CareFields act={act} change={change} subject={subject} />;
    case 'limbNoted':
      return (
        <>
          <TextField
            label="Which limb"
            hint="In your words, always the same: leg 3 left, right claw"
            error={error('limb')}
            value={act.limb}
            onChange={(limb) => change({ ...act, limb })}
          />
          <Choice
            label="How it is"
            options={limbStates}
            value={act.state}
            onChange={(state) => change({ ...act, state })}
          />
        </>
      );
    case 'sexSeen':
      return (
        <>
          <Choice
            label="Sex"
            options={[
              ['female', 'Female'],
              ['male', 'Male'],
              ['unknown', 'Not certain'],
            ]}
            value={act.sex}
            onChange={(sex) => change({ ...act, sex })}
          />
          <Choice
            label="Told from"
            options={sexEvidence}
            value={act.by}
            onChange={(by) => change({ ...act, by })}
          />
        </>
      );
    case 'noted':
      return (
        <Field label="Note" error={error('text')}>
          {(p) => (
            <textarea
              {...p}
              rows={4}
              className="field"
              value={act.text}
              onChange={(e) => change({ ...act, text: e.target.value })}
            />
          )}
        </Field>
      );
    case 'putOff':
      return (
        <>
          <TextField
            label="Until the night of"
            type="date"
            error={error('untilNight')}
            value={act.untilNight}
            onChange={(untilNight) => change({ ...act, untilNight })}
          />
          <TextField
            label="Why"
            hint="Stands on the round and in the journal"
            error={error('reason')}
            value={act.reason ?? ''}
            onChange={(reason) => change({ ...act, reason: reason === '' ? null : reason })}
          />
        </>
      );
    case 'housed':
      return <EnclosureFields act={act} change={change} unit={unit} error={error} />;
    case 'departed':
      return (
        <>
          <Choice
            label="How"
            options={departures}
            value={act.departure}
            onChange={(departure) => change({ ...act, departure })}
          />
          <TextField
            label={act.departure === 'died' ? 'Cause, if known' : 'To whom'}
            error={error('remark')}

            value={act.remark ?? ''}
            onChange={(value) => change({ ...act, remark: value === '' ? null : value })}
          />
          <p className="text-13 text-muted">The whole history stays and can be read under Stock, “left”.</p>
        </>
      );
  }
}
