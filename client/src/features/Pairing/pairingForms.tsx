import { AgainstHush } from '../Hush/AgainstHush';
import { Refusal, type Schemas } from '../../api/client';
import { Choice, TextField } from '../../ui/Field';
import { type EntryForm, textOrNone } from '../Journal/entryForm';
import { AnimalField } from '../Stock/AnimalField';
import { AgainstKin, confirmedText, kinText } from './AgainstKin';

const methods: readonly (readonly [NonNullable<Schemas['PairingMethod']>, string])[] = [
  ['watched', 'Watched, then parted'],
  ['tubToTub', 'Tub to tub'],
  ['netOvernight', 'In the net overnight'],
  ['leftTogether', 'Left together'],
  ['throughMesh', 'Through a mesh'],
];

const paired: EntryForm<'paired'> = {
  title: 'Put together with a mate',
  begin: () => ({ kind: 'paired', partnerId: null, partner: null, method: 'watched', remark: null }),
  finish: (act, texts) =>
    (texts[kinText] ?? '') !== '' && texts[confirmedText] !== 'yes'
      ? new Refusal(
          '',
          {
            partnerId: [
              'They should not be paired: say that they were all the same, or choose another mate.',
            ],
          },
          400,
        )
      : { ...act, despiteKin: texts[confirmedText] === 'yes' ? true : null },
  Fields: ({ act, change, subject, error, texts, write }) => {
    return (
      <>
        <AgainstHush subject={subject} act="pair" />
        <AnimalField
          label="Mate in this room"
          hint="Code or name; it is logged for both"
          id={act.partnerId ?? null}
          not={subject.sex === 'unknown' ? null : subject.sex}
          except={subject.stockId}
          error={error('partnerId')}
          onChange={(partnerId) => {
            change({ ...act, partnerId, partner: null });
            write(kinText, '');
          }}
        />
        {act.partnerId != null && (
          <AgainstKin one={subject.stockId} other={act.partnerId} texts={texts} write={write} />
        )}
        {act.partnerId == null && (
          <TextField
            label="Or a mate from elsewhere"
            hint="In your words; may stay empty"
            error={error('partner')}
            value={act.partner ?? ''}
            onChange={(partner) => change({ ...act, partner: textOrNone(partner) })}
          />
        )}
        <Choice
          label="How"
          options={methods}
          value={act.method ?? null}
          onChange={(method) => change({ ...act, method })}
        />
        <TextField
          label="What was seen"
          error={error('remark')}
          value={act.remark ?? ''}
          onChange={(remark) => change({ ...act, remark: textOrNone(remark) })}
        />
      </>
    );
  },
};

/** Forms of pairing. */
export const pairingForms = { paired };
