import type { Reason } from '../../api/client';
import { WhyButton } from '../../ui/WhyButton';
import { useWhy, type WhyAnimal } from './WhyContext';

interface SaidProps {
  /** What was worked out, with its reasons. */
  answer: { summary: string; reasons: readonly Reason[] };
  /** Of what the reasons are told: "Why: …". */
  of: string;
  /** The question that they answer. */
  title: string;
  /** The animal that it is about; none where it is a room or a tank. */
  animal: WhyAnimal | null;
}

/** An answer in its own words, and the ring that tells why. */
export function Said({ answer, of, title, animal }: SaidProps) {
  const { toggle } = useWhy();
  return (
    <>
      {answer.summary}{' '}
      <WhyButton
        of={of}
        onClick={() => toggle({ title, animal, summary: answer.summary, reasons: answer.reasons })}
      />
    </>
  );
}
