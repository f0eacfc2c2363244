import type { Schemas } from '../../api/client';
import { dayDate } from '../../ui/dates';

/** The shopping list as it is printed: boxes to tick, nothing else on the sheet. */
export function PrintedList({ plan, tonight }: { plan: Schemas['LarderPlan']; tonight: string }) {
  const goods = plan.goods.filter((g) => g.orderBy !== null);
  return (
    <section className="hidden bg-white p-6 text-[13px] text-black print:block" aria-hidden="true">
      <h1 className="text-22">To start and order, {dayDate(tonight)}</h1>
      <table className="mt-3 w-full border-collapse">
        <tbody>
          {plan.steps.map((step) => (
            <tr
              key={`${step.food.feederId}${step.food.sizeClassId}${step.by}${step.do}`}
              className="border-t border-black/30 align-top"
            >
              <td className="w-8 py-1.5">☐</td>
              <td className="w-28 py-1.5">by {dayDate(step.by)}</td>
              <td className="py-1.5">
                <b>
                  {step.do === 'startCulture' ? 'Start' : 'Order'} {step.what}
                </b>{' '}
                for {dayDate(step.neededOn)}
              </td>
            </tr>
          ))}
          {goods.map((g) => (
            <tr key={g.goodsId} className="border-t border-black/30 align-top">
              <td className="py-1.5">☐</td>
              <td className="py-1.5">by {dayDate(g.orderBy ?? tonight)}</td>
              <td className="py-1.5">
                <b>
                  Order {g.pack} {g.unit} of {g.name}
                </b>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
