import type { EntryForm } from '../Journal/entryForm';
import { TankField } from './TankField';

const placed: EntryForm<'placed'> = {
  title: 'Into a shared tank',
  begin: () => ({ kind: 'placed', tankId: '', tank: null }),
  finish: (act) => act,
  mustSay: { field: 'tankId', text: 'Choose the tank.' },
  Fields: ({ act, say, subject, error }) => {
    const against = subject.hush.find((line) => line.act === 'rehouse' && line.verdict === 'never');
    return (
      <>
        {against !== undefined && (
          <p role="alert" className="border-l-2 border-ember pl-3">
            {against.contributors[0]?.why.text} If it happened all the same, log it: the entry will be marked.
          </p>
        )}
        <TankField
          label="Tank"
          id={act.tankId}
          except={subject.tankId ?? undefined}
          error={error('tankId')}
          onChange={(tankId) => say({ ...act, tankId })}
        />
        <p className="text-13 text-muted">
          Food, water and cleaning are logged for the tank from then on; molts, signs and measures for each
          animal.
        </p>
      </>
    );
  },
};

/** Forms of shared tanks. */
export const tankForms = { placed };
