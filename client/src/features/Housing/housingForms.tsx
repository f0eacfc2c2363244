import type { EntryForm } from '../Journal/entryForm';
import { EnclosureFields } from './EnclosureFields';
import { freshEnclosure } from './nextEnclosure';

const housed: EntryForm<'housed'> = {
  title: 'Enclosure',
  begin: (subject) => ({ kind: 'housed', enclosure: subject.enclosure ?? freshEnclosure, rehoused: false }),
  wide: true,
  Fields: ({ act, change, unit, error }) => (
    <EnclosureFields act={act} change={change} unit={unit} error={error} />
  ),
};

/** Forms of what animals live in. */
export const housingForms = { housed };
