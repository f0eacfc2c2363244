import type { Schemas } from '../../api/client';
import type { ActSubject } from '../Journal/entryForm';

/** Says what forbids an act tonight, before it is logged; nothing where nothing does. */
export function AgainstHush({ subject, act }: { subject: ActSubject; act: Schemas['CareAct'] }) {
  const against = subject.hush.find((line) => line.act === act && line.verdict === 'never');
  return against === undefined ? null : (
    <p role="alert" className="border-l-2 border-ember pl-3">
      {against.contributors[0]?.why.text} If it happened all the same, log it: the entry will be marked.
    </p>
  );
}
