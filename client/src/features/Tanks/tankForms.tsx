import { AgainstHush } from '../Hush/AgainstHush';
import type { EntryForm } from '../Journal/entryForm';
import { TankField } from './TankField';

const placed: EntryForm<'placed'> = {
  title: 'Into a shared tank',
  begin: () => ({ kind: 'placed', tankId: '', tank: null }),
  finish: (act) => act,
  mustSay: { field: 'tankId', text: 'Choose the tank.' },
  Fields: ({ act, say, subject, error }) => {
    return (
      <>
        <AgainstHush subject={subject} act="rehouse" />
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
