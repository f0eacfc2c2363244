import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useLogInLarder } from './queries';
import { dayDate, shortDate, toDays } from '../../ui/dates';
import { started } from './larderWork';
import { WhyLink } from './WhyLink';
import { newId } from '../../ui/newId';

type Step = Schemas['LarderStep'];

interface StepListProps {
  plan: Schemas['LarderPlan'];
  tonight: string;
  onOrder: (lines: readonly Schemas['OrderLine'][]) => void;
}

const soonDays = 7;

const lineOf = (step: Step): Schemas['OrderLine'] => ({
  itemId: step.food.feederId,
  sizeClassId: step.food.sizeClassId,
  quantity: step.amount,
});

/** What to start or order, the most urgent first. */
export function StepList({ plan, tonight, onOrder }: StepListProps) {
  const [all, setAll] = useState(false);
  const start = useLogInLarder('button');
  const reasonsOf = (step: Step) =>
    plan.foods.find(
      (f) => f.food.feederId === step.food.feederId && f.food.sizeClassId === step.food.sizeClassId,
    )?.reasons ?? [];
  const ahead = (step: Step) => toDays(step.by) - toDays(tonight);
  const soon = plan.steps.filter((step) => ahead(step) <= soonDays);
  const shown = all ? plan.steps : soon;
  const toOrder = soon.filter((step) => step.do !== 'startCulture');
  return (
    <section aria-labelledby="steps" className="pt-3">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 id="steps" className="text-18">
          To start or order {all ? 'in eight weeks' : 'this week'}
        </h2>
        {toOrder.length > 1 && (
          <Button writes kind="link" onClick={() => onOrder(toOrder.map(lineOf))}>
            Order these {toOrder.length} together
          </Button>
        )}
      </div>
      {shown.length === 0 && <p className="py-2 text-muted">Nothing this week: all lasts.</p>}
      <ul className="mt-1">
        {shown.map((step) => (
          <li
            key={`${step.food.feederId}${step.food.sizeClassId}${step.by}${step.do}`}
            className="grid grid-cols-[7.5rem_minmax(0,1fr)_auto] items-start gap-x-3 border-t border-line py-1.5 max-sm:grid-cols-[minmax(0,1fr)_auto]"
          >
            <span
              className={`pt-1.5 text-13 ${ahead(step) <= 0 ? 'font-semibold text-lamptext' : 'text-muted'}`}
            >
              {ahead(step) <= 0 ? 'tonight' : `by ${dayDate(step.by)}`}
            </span>
            <span className="min-w-0 pt-1 max-sm:row-start-2">
              <span className="font-semibold">
                {step.do === 'startCulture' ? 'Start' : 'Order'} {step.what}
              </span>
              <WhyLink of={step.what} summary={step.why} reasons={reasonsOf(step)} />
              {step.isLate && (
                <span className="ml-2 text-13 font-semibold text-ember">
                  late for {step.neededOn === tonight ? 'tonight' : shortDate(step.neededOn, tonight)}
                </span>
              )}
              <span className="block text-12 text-muted">{step.why}</span>
            </span>
            {step.do === 'startCulture' ? (
              <Button
                writes
                className="max-sm:row-span-2"
                aria-label={`Started ${step.what}`}
                disabled={start.isPending}
                onClick={() =>
                  start.mutate({
                    id: newId(),
                    act: started(step.food.feederId, step.amount),
                    text: `${step.what}: started`,
                  })
                }
              >
                Started
              </Button>
            ) : (
              <Button
                writes
                className="max-sm:row-span-2"
                aria-label={`Order ${step.what}`}
                onClick={() => onOrder([lineOf(step)])}
              >
                Order
              </Button>
            )}
          </li>
        ))}
      </ul>
      {plan.steps.length > soon.length && (
        <Button kind="link" className="mt-2" onClick={() => setAll(!all)}>
          {all ? 'Only this week' : `All ${plan.steps.length} in the next eight weeks`}
        </Button>
      )}
    </section>
  );
}
