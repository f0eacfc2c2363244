import type { Reason } from '../../api/client';
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
    <button
      type="button"
      aria-label={`Why: ${of}`}
      onClick={() => toggle({ title: `Why: ${of}?`, animal: null, summary, reasons })}
      className="ml-1 size-6 rounded-full border border-edge align-middle text-12 font-semibold text-muted hover:text-ink"
    >
      ?
    </button>
  );
}
