import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { fromDays, shortDate, toDays } from '../../ui/dates';
import { WhyButton } from '../../ui/WhyButton';
import { leafGrams as grams } from '../Larder/leafGrams';
import { type WhyAnimal, useWhy } from '../Reasons/WhyContext';
import { ActDialogFor } from '../Journal/ActDialogFor';
import { LeafDays } from './LeafDays';

type Larvae = Schemas['LarvaeAtTable'];

const within = (gramsByDay: readonly number[], nights: number) =>
  gramsByDay.slice(0, nights).reduce((sum, g) => sum + g, 0);

/** When most is eaten in a day, and how much. */
function mostOf(gramsByDay: readonly number[], tonight: string): string {
  const most = Math.max(...gramsByDay);
  const on = fromDays(toDays(tonight) + gramsByDay.indexOf(most));
  return `the most in a day: ${grams(most)}, about ${shortDate(on, tonight)}`;
}

/** Who eats leaf, how much of it, and in how many boxes they are kept. */
export function Leaf({ larvae, tonight }: { larvae: readonly Larvae[]; tonight: string }) {
  const { toggle } = useWhy();
  const [telling, setTelling] = useState<{ of: string; what: 'hostChosen' | 'boxed' | 'sickSeen' } | null>(
    null,
  );
  if (larvae.length === 0) {
    return null;
  }
  const about = ({ stockId, place, name, species }: Larvae): WhyAnimal => ({ stockId, place, name, species });
  return (
    <section aria-labelledby="leaf" className="mt-6">
      <h2 id="leaf" className="text-18">
        Leaf for larvae
      </h2>
      <ul className="mt-1">
        {larvae.map((one) => {
          const { need, boxes, looks } = one;
          const leaf = need.value;
          return leaf === null ? null : (
            <li key={one.stockId} className="nursery-row">
              <span className="code">{one.place}</span>
              <span className="min-w-0">
                <Link to={`/stock/${one.stockId}`} className="font-semibold">
                  {one.name}
                </Link>{' '}
                <i className="text-13 text-muted">{one.species}</i>
                <small className="block text-13 text-muted">
                  {leaf.count === 1 ? '' : `${Math.round(leaf.count)}, `}
                  {leaf.instar === null ? 'eggs yet' : `L${leaf.instar}`}
                  {`, last leaf about ${shortDate(leaf.pupates, tonight)}`}
                </small>
                {looks?.value != null && looks.value.now !== null && (
                  <small className="block text-13 text-muted">
                    {looks.value.now}{' '}
                    <WhyButton
                      of={`the looks of ${one.name}`}
                      onClick={() =>
                        toggle({
                          title: 'Which instar?',
                          animal: about(one),
                          summary: looks.summary,
                          reasons: looks.reasons,
                        })
                      }
                    />
                    {looks.value.next !== null && ` · ${looks.value.nextInstar}: ${looks.value.next}`}
                  </small>
                )}
              </span>
              <span>
                <b className="font-semibold">
                  {leaf.readyOn === null
                    ? `${grams(within(leaf.gramsByDay, 1))} tonight`
                    : leaf.readyOn <= tonight
                      ? 'leaf must be there now'
                      : `leaf there by ${shortDate(leaf.readyOn, tonight)}`}
                </b>{' '}
                <WhyButton
                  of={`the leaf of ${one.name}`}
                  onClick={() =>
                    toggle({
                      title: 'How much leaf?',
                      animal: about(one),
                      summary: need.summary,
                      reasons: need.reasons,
                    })
                  }
                />
                <small className="block text-13 text-muted">
                  {within(leaf.gramsByDay, 28) < 1
                    ? 'full grown: hardly any more'
                    : `${grams(within(leaf.gramsByDay, 7))} within a week, ${grams(within(leaf.gramsByDay, 28))} within four`}
                </small>
                <LeafDays grams={leaf.gramsByDay} />
                {within(leaf.gramsByDay, 28) >= 1 && (
                  <small className="block text-13 text-muted">{mostOf(leaf.gramsByDay, tonight)}</small>
                )}
              </span>
              <span className="text-13 text-soft">
                {leaf.isHostOnRecord ? (
                  <>
                    On <b className="font-semibold">{leaf.host}</b>
                    {leaf.mayChange ? '; may be changed over' : '; no other plant midway'}
                  </>
                ) : (
                  <>
                    {leaf.hosts.join(', ')}
                    {leaf.hosts.length > 1 &&
                      (leaf.mayChange ? ': may be changed over' : ': no change midway')}
                  </>
                )}{' '}
                <Button
                  writes
                  kind="link"
                  onClick={() => setTelling({ of: one.stockId, what: 'hostChosen' })}
                >
                  {leaf.isHostOnRecord ? 'Another plant…' : 'Say which…'}
                </Button>
                {boxes !== null && (
                  <small className="block text-13 text-muted">
                    {boxes.value?.kept != null && <b className="font-semibold">Now {boxes.value.kept}. </b>}
                    {boxes.summary}{' '}
                    <WhyButton
                      of={`the boxes of ${one.name}`}
                      onClick={() =>
                        toggle({
                          title: 'How many boxes?',
                          animal: about(one),
                          summary: boxes.summary,
                          reasons: boxes.reasons,
                        })
                      }
                    />
                  </small>
                )}
                {boxes?.value?.mind.map((mind) => (
                  <small key={mind} className="block border-l-2 border-lampmark pl-2 text-13">
                    {mind}
                  </small>
                ))}
                {leaf.instar !== null && (
                  <span className="flex flex-wrap gap-x-3">
                    <Button writes kind="link" onClick={() => setTelling({ of: one.stockId, what: 'boxed' })}>
                      How they are kept…<span className="sr-only"> {one.name}</span>
                    </Button>
                    <Button
                      writes
                      kind="link"
                      onClick={() => setTelling({ of: one.stockId, what: 'sickSeen' })}
                    >
                      Some do not thrive…<span className="sr-only"> {one.name}</span>
                    </Button>
                  </span>
                )}
              </span>
            </li>
          );
        })}
      </ul>
      {telling !== null && (
        <ActDialogFor stockId={telling.of} kind={telling.what} onClose={() => setTelling(null)} />
      )}
    </section>
  );
}
