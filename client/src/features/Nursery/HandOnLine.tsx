import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { WhyButton } from '../../ui/WhyButton';
import { ActDialogFor } from '../Journal/ActDialogFor';
import { useWhy, type WhyAnimal } from '../Reasons/WhyContext';

interface Props {
  animal: WhyAnimal;
  handOn: Schemas['AnswerOfHandOn'];
}

/** What is to become of young: what was promised, what is wanted, and the two forms that say so. */
export function HandOnLine({ animal, handOn }: Props) {
  const { toggle } = useWhy();
  const [form, setForm] = useState<'promised' | 'capped' | null>(null);
  return (
    <span className="block text-13">
      {handOn.value != null && (
        <span
          className={`block ${handOn.value.lacking > 0 || handOn.value.beyond > 0 ? 'border-l-2 border-lampmark pl-2' : ''}`}
        >
          {handOn.summary}{' '}
          <WhyButton
            of={`what becomes of the young of ${animal.name}`}
            onClick={() => toggle({ title: 'Who gets them?', animal, ...handOn })}
          />
        </span>
      )}
      <Button writes kind="link" className="text-muted" onClick={() => setForm('promised')}>
        Promise some…
      </Button>
      <Button writes kind="link" className="ml-3 text-muted" onClick={() => setForm('capped')}>
        How many wanted…
      </Button>
      {form !== null && <ActDialogFor stockId={animal.stockId} kind={form} onClose={() => setForm(null)} />}
    </span>
  );
}
