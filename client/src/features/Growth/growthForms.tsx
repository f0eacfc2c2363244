import { Button } from '../../ui/Button';
import { Refusal, type Schemas } from '../../api/client';
import { Check, Choice, TextField } from '../../ui/Field';
import { fromMm, toMm } from '../../ui/lengths';
import type { EntryForm } from '../Journal/entryForm';

export const bodyParts: readonly (readonly [Schemas['BodyPart'], string])[] = [
  ['legSpan', 'Leg span'],
  ['body', 'Body'],
  ['carapace', 'Carapace'],
  ['carapaceWidth', 'Carapace width'],
  ['abdomenWidth', 'Abdomen width'],
  ['headCapsule', 'Head capsule'],
  ['claw', 'Large claw'],
  ['foreleg', 'Foreleg, femur and tibia'],
];

const limbStates: readonly (readonly [Schemas['LimbState'], string])[] = [
  ['lost', 'Lost'],
  ['small', 'Grown again, small'],
  ['full', 'Full size again'],
];

const sexEvidence: readonly (readonly [Schemas['SexEvidence'], string])[] = [
  ['shedSkin', 'The shed skin'],
  ['furrow', 'The furrow'],
  ['adultMarks', 'Adult marks'],
  ['segments', 'Segments below the abdomen'],
  ['pores', 'Pores or tubes'],
  ['pectines', 'The combs'],
  ['antennae', 'Antennae'],
  ['looks', 'Its looks'],
];

const conditions: readonly (readonly [Schemas['BodyCondition'], string])[] = [
  ['thin', 'Thin'],
  ['normal', 'Normal'],
  ['full', 'Full'],
  ['veryFull', 'Very full'],
];

const widths: readonly Schemas['BodyPart'][] = ['carapaceWidth', 'abdomenWidth'];

const molted: EntryForm<'molted'> = {
  title: 'It molted',
  begin: () => ({ kind: 'molted', ultimate: false, mismolt: false }),
  foundLater: true,
  Fields: ({ act, change, subject }) => (
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
  ),
};

const measured: EntryForm<'measured'> = {
  title: 'Measured',
  begin: (subject) => ({
    kind: 'measured',
    part: subject.parts[0] ?? 'body',
    lengthMm: 0,
    fromExuvia: false,
    errorMm: null,
    pictureId: null,
  }),
  texts: (act, isNew, unit) => ({ lengthMm: isNew ? '' : fromMm(act.lengthMm, unit) }),
  finish: (act, texts, unit) => {
    const lengthMm = toMm(texts.lengthMm ?? '', unit);
    return Number.isFinite(lengthMm)
      ? { ...act, lengthMm }
      : new Refusal('', { lengthMm: [`Write a number in ${unit}.`] }, 400);
  },
  Fields: ({ act, change, texts, write, subject, unit, error }) => (
    <>
      <Choice
        label="What"
        options={bodyParts.filter(([p]) => subject.parts.includes(p) || widths.includes(p))}
        value={act.part}
        onChange={(part) => change({ ...act, part })}
      />
      <TextField
        label={`Length in ${unit}`}
        hint="Or with a unit: 6 cm, 2.4 in"
        error={error('lengthMm')}
        inputMode="decimal"
        value={texts.lengthMm ?? ''}
        onChange={(text) => write('lengthMm', text)}
      />
      {subject.hasMolted && (
        <Check
          label="Taken from the shed skin (tells the size before that molt)"
          value={act.fromExuvia}
          onChange={(fromExuvia) => change({ ...act, fromExuvia })}
        />
      )}
    </>
  ),
};

const limbNoted: EntryForm<'limbNoted'> = {
  title: 'A limb',
  begin: () => ({ kind: 'limbNoted', limb: '', state: 'lost' }),
  Fields: ({ act, change, error }) => (
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
  ),
};

const sexSeen: EntryForm<'sexSeen'> = {
  title: 'Sex told',
  begin: (subject) => ({ kind: 'sexSeen', sex: 'female', by: subject.sexShowsBy[0] ?? 'looks' }),
  Fields: ({ act, change, subject }) => (
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
        options={sexEvidence.filter(([by]) => subject.sexShowsBy.includes(by) || by === act.by)}
        value={act.by}
        onChange={(by) => change({ ...act, by })}
      />
    </>
  ),
};

const conditionSeen: EntryForm<'conditionSeen'> = {
  title: 'How well fed it looks',
  begin: () => ({ kind: 'conditionSeen', condition: 'normal' }),
  oneTap: true,
  Fields: ({ act, busy, submit }) => (
    <fieldset className="grid gap-1">
      <legend className="mb-1 text-13 font-semibold">Its abdomen looks</legend>
      <div className="grid grid-cols-2 gap-2">
        {conditions.map(([condition, label]) => (
          <Button
            key={condition}
            className="justify-center"
            disabled={busy}
            onClick={() => submit({ ...act, condition })}
          >
            {label}
          </Button>
        ))}
      </div>
    </fieldset>
  ),
};

const fangsChecked: EntryForm<'fangsChecked'> = {
  title: 'Fangs',
  begin: () => ({ kind: 'fangsChecked', hard: true }),
  Fields: ({ act, change }) => (
    <Choice
      label="The fangs"
      options={[
        ['yes', 'Black and hard'],
        ['no', 'Not yet'],
      ]}
      value={act.hard ? 'yes' : 'no'}
      onChange={(hard) => change({ ...act, hard: hard === 'yes' })}
    />
  ),
};

/** Forms of what is seen of growth. */
export const growthForms = { molted, measured, limbNoted, sexSeen, conditionSeen, fangsChecked };
