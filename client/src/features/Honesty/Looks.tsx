import { Link } from 'react-router';
import { Waiting } from '../../ui/Waiting';
import type { Schemas } from '../../api/client';
import { WhyButton } from '../../ui/WhyButton';
import { useWhy } from '../Reasons/WhyContext';
import { useLooks } from './queries';

/** At which animals a look would narrow the window most. */
export function Looks() {
  const { toggle } = useWhy();
  const why = (look: Schemas['LookView']) =>
    toggle({
      title: 'What is a look worth?',
      animal: null,
      summary: `${look.name}: the window of the next molt would narrow from ${Math.round(look.worth.nightsNow)} nights to about ${Math.round(look.worth.nightsThen)}.`,
      reasons: look.reasons,
    });
  return (
    <section aria-labelledby="looks" className="mt-6 border-t border-line pt-3">
      <h2 id="looks" className="text-18">
        What to look at to make them better
      </h2>
      <Waiting query={useLooks()} what="What a look is worth">
        {({ windows, worth, most }) =>
          most.length === 0 ? (
            <p className="max-w-[76ch] text-muted">
              {windows === 0
                ? 'No molt is awaited.'
                : `A look at any of the ${windows} whose molt is awaited would hardly narrow its window: they were looked at of late, or their signs have been seen.`}
            </p>
          ) : (
            <>
              <p className="mb-1 max-w-[76ch] text-muted">
                A weekly look at {worth === 1 ? 'this one' : `these ${Math.min(worth, most.length)}`} narrows
                most; of {windows} windows one look tonight would narrow {worth}. “No sign” counts too.
              </p>
              <ul className="grid grid-cols-2 gap-x-8 text-13 max-lg:grid-cols-1">
                {most.map((look) => (
                  <li key={look.stockId} className="flex justify-between gap-3 border-t border-line py-1.5">
                    <Link
                      to={`/stock/${look.stockId}`}
                      className="font-display font-semibold hover:underline"
                    >
                      {look.name}
                    </Link>
                    <span>
                      from {Math.round(look.worth.nightsNow)} nights to about{' '}
                      {Math.round(look.worth.nightsThen)}{' '}
                      <WhyButton of={`a look at ${look.name}`} onClick={() => why(look)} />
                    </span>
                  </li>
                ))}
              </ul>
            </>
          )
        }
      </Waiting>
    </section>
  );
}
