import type { Dispatch, SetStateAction } from 'react';
import type { Schemas } from '../../api/client';
import { Check, Choice, Field, FormError, TextField } from '../../ui/Field';
import type { LengthUnit } from '../../ui/lengths';
import { EnclosureFields } from '../Housing/EnclosureFields';
import {
  type ActOf,
  bodyParts,
  cares,
  conditions,
  departures,
  type FormKind,
  limbStates,
  sexEvidence,
  tubeWaters,
  waterKinds,
} from './acts';
import type { ActSubject, Draft } from './actDraft';
import { OfferFields } from './OfferFields';
import { SignPicker } from './SignPicker';

type ErrorOf = (field: string) => string | undefined;

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
            options={sexEvidence.filter(([by]) => subject.sexing.includes(by) || by === act.by)}
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
            value={draft.said ? act.departure : null}
            onChange={(departure) => setDraft((d) => ({ ...d, act: { ...act, departure }, said: true }))}
          />
          <FormError>{error('departure')}</FormError>
          <TextField
            label={
              act.departure === 'died' || act.departure === 'lost'
                ? 'Cause, if known'
                : act.departure === 'escaped' || act.departure === 'released'
                  ? 'How and where'
                  : 'To whom'
            }
            error={error('remark')}

            value={act.remark ?? ''}
            onChange={(value) => change({ ...act, remark: value === '' ? null : value })}
          />
          <p className="text-13 text-muted">The whole history stays and can be read under Stock, “left”.</p>
        </>
      );
    case 'watered':
      return (
        <Choice
          label="How"
          options={waterKinds.filter(([kind]) => subject.waters.includes(kind) || kind === act.water)}
          value={act.water}
          onChange={(water) => change({ ...act, water })}
        />
      );
    case 'tubeSeen':
      return (
        <Choice
          label="How much water is left"
          options={tubeWaters}
          value={act.water}
          onChange={(water) => change({ ...act, water })}
        />
      );
    case 'conditionSeen':
      return (
        <fieldset className="grid gap-1">
          <legend className="mb-1 text-13 font-semibold">Its abdomen looks</legend>
          <div className="grid grid-cols-2 gap-2">
            {conditions.map(([condition, label]) => (
              <button
                key={condition}
                type="button"
                className="act justify-center"
                disabled={busy}
                onClick={() => submit({ ...act, condition })}
              >
                {label}
              </button>
            ))}
          </div>
        </fieldset>
      );
    case 'fangsChecked':
      return (
        <Choice
          label="The fangs"
          options={[
            ['yes', 'Black and hard'],
            ['no', 'Not yet'],
          ]}
          value={act.hard ? 'yes' : 'no'}
          onChange={(hard) => change({ ...act, hard: hard === 'yes' })}
        />
      );
    case 'began':
      return (
        <Choice
          label="What began"
          options={subject.waits.map((wait) => [wait.vigil, wait.began] as const)}
          value={act.vigil}
          onChange={(vigil) => change({ ...act, vigil })}
        />
      );
    case 'ended': {
      const words = subject.waits.find((wait) => wait.vigil === act.vigil);
      return (
        <Choice
          label="How it ended"
          options={[
            ['asHoped', words?.asHoped ?? 'As hoped'],
            ['otherwise', words?.otherwise ?? 'Otherwise'],
          ]}
          value={act.end}
          onChange={(end) => change({ ...act, end })}
        />
      );
    }
    case 'chilled':
      return (
        <Choice
          label="The winter cold"
          options={[
            ['in', 'Put into the cold'],
            ['out', 'Taken out of the cold'],
          ]}
          value={act.intoCold ? 'in' : 'out'}
          onChange={(where) => change({ ...act, intoCold: where === 'in' })}
        />
      );
    case 'looked':
    case 'leftoversRemoved':
      return null;
  }
}
