import type { Reason } from '../../api/client';
import { WhyButton } from '../../ui/WhyButton';
import { useWhy } from '../Reasons/WhyContext';

/** "?" beside what the larder says: what it rests on, in the drawer. */
export function WhyLink({
  of,
  summary,
  reasons,
}: {
  of: string;
  summary: string;
  reasons: readonly Reason[];
}) {
  const { toggle } = useWhy();
  return (
    <WhyButton
      of={of}
      className="ml-1"
      onClick={() => toggle({ title: `Why: ${of}?`, animal: null, summary, reasons })}
    />
  );
}
