import { useMayWrite } from '../../ui/mayWrite';
import { DataTable } from '../../ui/DataTable';
import { Button } from '../../ui/Button';
import { useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { useLogInLarder } from './queries';
import { shortDate } from '../../ui/dates';
import { FoodWeeks } from './FoodWeeks';
import { WhyLink } from './WhyLink';
import { newId } from '../../ui/newId';

type Food = Schemas['FoodOutlook'];

/** Every food: how many are there, and eight weeks of need against what will be there. */
export function FoodTable({ foods, tonight }: { foods: readonly Food[]; tonight: string }) {
  const needed = foods.filter((f) => f.weeks.some((w) => w.demand > 0.05) || f.onHand > 0.5);
  return (
    <section aria-labelledby="foods" className="mt-6">
      <h2 id="foods" className="text-18">
        Eight weeks of each food
      </h2>
      <p className="mb-1 text-12 text-muted">
        Bars: what will be eaten each week, the thin line up to what one week in ten passes. Line: what is
        left at the end of the week; pale, if need is high, pots are poor and parcels late.
      </p>
      <DataTable
        label="Eight weeks of each food"
        className="table-fixed"
        rows={needed}
        keyOf={(food) => `${food.food.feederId}/${food.food.sizeClassId}`}
        columns={[
          {
            id: 'food',
            title: 'Food',
            names: true,
            className: 'w-[30%] max-sm:w-[46%]',
            cell: (food) => (
              <>
                {food.name}
                <WhyLink of={food.name} summary={summaryOf(food, tonight)} reasons={food.reasons} />
                <span className="block text-12 text-muted">{perWeek(food)}</span>
              </>
            ),
          },
          {
            id: 'there',
            title: 'There now',
            className: 'w-[17%] max-sm:w-[24%]',
            cell: (food) => <Count food={food} tonight={tonight} />,
          },
          {
            id: 'weeks',
            title: `${shortDate(tonight)} and eight weeks on`,
            className: 'max-sm:hidden',
            cell: (food) => <FoodWeeks food={food} />,
          },
          {
            id: 'so',
            title: 'So',
            className: 'w-[19%] max-sm:w-[30%]',
            cell: (food) => <Verdict food={food} tonight={tonight} />,
          },
        ]}
      />
    </section>
  );
}

/** What a usual week takes. */
function perWeek(food: Food): string {
  const mean = food.weeks.reduce((sum, w) => sum + w.demand, 0) / Math.max(1, food.weeks.length);
  return mean < 0.05
    ? 'nobody eats it now'
    : `${mean < 1 ? 'less than 1' : `about ${Math.round(mean)}`} a week`;
}

function summaryOf(food: Food, tonight: string): string {
  const there = `${Math.round(food.onHand)} there now, ${perWeek(food)}.`;
  return food.shortOn === null
    ? there
    : `${there} If need is high and supply poor it does not reach ${food.shortOn === tonight ? 'tonight' : `on ${shortDate(food.shortOn, tonight)}`}.`;
}

function Verdict({ food, tonight }: { food: Food; tonight: string }) {
  if (food.shortOn !== null) {
    return (
      <span className="font-semibold text-lamptext">
        short {food.shortOn === tonight ? 'now' : `about ${shortDate(food.shortOn, tonight)}`}
      </span>
    );
  }
  if (food.glutOn !== null) {
    return (
      <span className="text-hush">
        too much{food.glutOn === tonight ? '' : ` from ${shortDate(food.glutOn, tonight)}`}
      </span>
    );
  }
  return <span className="text-mosstext">{food.from === 'kitchen' ? 'from the kitchen' : 'lasts'}</span>;
}

/** How many are there by the last count; a tap counts anew. */
function Count({ food, tonight }: { food: Food; tonight: string }) {
  const [text, setText] = useState<string | null>(null);
  const log = useLogInLarder();
  const mayWrite = useMayWrite();
  const wrong = log.error instanceof Refusal ? log.error.all : undefined;
  if (text === null) {
    const counted =
      food.countedOn === null ? 'never counted' : `counted ${shortDate(food.countedOn, tonight)}`;
    const shown = food.countedOn === null && food.onHand < 0.5 ? '–' : Math.round(food.onHand);
    return mayWrite ? (
      <button
        type="button"
        className="group min-h-8 text-left"
        onClick={() => setText(food.countedOn === null ? '' : String(Math.round(food.onHand)))}
        title={counted}
        aria-label={`${shown} count ${food.name}, ${counted}`}
      >
        <span className="font-semibold group-hover:underline">{shown}</span>{' '}
        <span className="ml-1 text-12 text-muted group-hover:underline">count</span>
      </button>
    ) : (
      <span className="font-semibold" title={counted}>
        {shown}
      </span>
    );
  }
  const save = () => {
    const quantity = Number(text);
    log.mutate(
      {
        id: newId(),
        act: { kind: 'foodCounted', food: food.food, quantity },
        text: `${food.name}: ${quantity} counted`,
      },
      { onSuccess: () => setText(null) },
    );
  };
  const bad = text.trim() === '' || !/^\d{1,7}$/.test(text.trim());
  return (
    <form
      className="flex items-center gap-1"
      onSubmit={(e) => {
        e.preventDefault();
        if (!bad) {
          save();
        }
      }}
    >
      <input
        className="field h-8 w-16 px-1.5"
        inputMode="numeric"
        aria-label={`How many ${food.name} are there?`}
        aria-invalid={bad || wrong !== undefined}
        title={wrong}
        value={text}
        autoFocus
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => e.key === 'Escape' && setText(null)}
      />
      <Button kind="link" type="submit" disabled={bad || log.isPending}>
        save
      </Button>
    </form>
  );
}
