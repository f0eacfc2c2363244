import type { AnimalView, Reason } from '../../api/client';
import { WhyButton } from '../../ui/WhyButton';
import type { PagePart } from '../Stock/pagePart';
import { useWhy, whyAnimal } from './WhyContext';

interface WhyHeadProps {
  id: string;
  animal: AnimalView;
  title: string;
  note?: string;
  /** Title of the drawer, and the answer that it gives. */
  why: string;
  answer: { summary: string; reasons: readonly Reason[] };
  /** Below something else of its column. */
  second?: boolean;
}

/** The heading of a part of an animal's page, with the button that says why. */
export function WhyHead({ id, title, note = '', second = false, ...asked }: WhyHeadProps) {
  return (
    <h2 id={id} className={`mb-1 text-18 ${second ? 'mt-4' : ''}`}>
      {title}
      {note !== '' && (
        <span className="ml-2 font-text text-13 font-normal tracking-normal text-muted">{note}</span>
      )}{' '}
      <AskWhy title={title} {...asked} />
    </h2>
  );
}

/** A part that is an answer in one line, with the button that says why. */
export const answerLine =
  (id: string, why: string, answerOf: (animal: AnimalView) => WhyHeadProps['answer']): PagePart =>
  ({ animal }) => <WhyLine id={id} animal={animal} why={why} answer={answerOf(animal)} />;

interface WhyLineProps extends Omit<WhyHeadProps, 'title' | 'note' | 'second'> {
  /** What it says; the answer itself when left out. */
  title?: string;
}

/** An answer in one line, with the button that says why. */
export function WhyLine({ id, title, ...asked }: WhyLineProps) {
  const said = title ?? asked.answer.summary;
  return (
    <h2 id={id} className="border-t border-line py-1.5 text-13">
      <span className="font-text font-normal tracking-normal">{said}</span> <AskWhy title={said} {...asked} />
    </h2>
  );
}

function AskWhy({ animal, title, why, answer }: Pick<WhyHeadProps, 'animal' | 'title' | 'why' | 'answer'>) {
  const { toggle } = useWhy();
  return (
    <WhyButton
      of={title}
      onClick={() =>
        toggle({
          title: why,
          animal: whyAnimal(animal),
          summary: answer.summary,
          reasons: answer.reasons,
        })
      }
      className="ml-0.5"
    />
  );
}
