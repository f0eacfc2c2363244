import { Refusal, type Schemas } from '../../api/client';
import { Choice, TextField } from '../../ui/Field';
import { type EntryForm, wholeNumber } from '../Journal/entryForm';
import { OfferFields } from './OfferFields';

const waterKinds: readonly (readonly [Schemas['WaterKind'], string])[] = [
  ['dish', 'Dish filled'],
  ['mist', 'Misted'],
  ['damp', 'Damp side moistened'],
  ['pools', 'Both pools filled'],
];

const tubeWaters: readonly (readonly [Schemas['TubeWater'], string])[] = [
  ['full', 'Full'],
  ['low', 'Low'],
  ['gone', 'Gone'],
];

const offered: EntryForm<'offered'> = {
  title: 'Food offered',
  begin: (subject) => ({
    kind: 'offered',
    feederId: subject.offer?.feederId ?? 'roach-nymph',
    sizeClassId: subject.offer?.sizeClassId ?? 'small',
    count: subject.offer?.count ?? subject.count,
    preparation: subject.offer?.preparation ?? 'live',
    outcome: 'eaten',
    leftIn: null,
  }),
  texts: (act) => ({ count: String(act.count) }),
  finish: (act, texts) => {
    const count = wholeNumber('count', texts.count ?? '');
    return count instanceof Refusal ? count : { ...act, count };
  },
  Fields: ({ act, change, texts, write, subject, error }) => (
    <OfferFields
      act={act}
      change={change}
      number={(label, field) => (
        <TextField
          label={label}
          error={error(field)}
          inputMode="decimal"
          value={texts[field] ?? ''}
          onChange={(text) => write(field, text)}
        />
      )}
      error={error}
      vials={subject.vials}
    />
  ),
};

const leftoversRemoved: EntryForm<'leftoversRemoved'> = {
  title: 'Leftovers taken out',
  begin: () => ({ kind: 'leftoversRemoved', feederIds: null }),
  Fields: () => null,
};

const watered: EntryForm<'watered'> = {
  title: 'Water',
  begin: (subject) => ({ kind: 'watered', water: subject.waters[0] ?? 'dish' }),
  Fields: ({ act, change, subject }) => (
    <Choice
      label="How"
      options={waterKinds.filter(([kind]) => subject.waters.includes(kind) || kind === act.water)}
      value={act.water}
      onChange={(water) => change({ ...act, water })}
    />
  ),
};

const tubeSeen: EntryForm<'tubeSeen'> = {
  title: 'Water of the tube',
  begin: () => ({ kind: 'tubeSeen', water: 'full' }),
  Fields: ({ act, change }) => (
    <Choice
      label="How much water is left"
      options={tubeWaters}
      value={act.water}
      onChange={(water) => change({ ...act, water })}
    />
  ),
};

/** Forms of food and water. */
export const feedingForms = { offered, leftoversRemoved, watered, tubeSeen };
