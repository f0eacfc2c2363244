import { DataTable } from '../../ui/DataTable';
import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { AnimalView } from '../../api/client';
import { useWhy, whyAnimal } from '../Reasons/WhyContext';
import { FedOtherwise } from './FedOtherwise';

const shades = [0.85, 0.6, 0.42, 0.28, 0.18];

/** What it ate of late and what it likes; why it does not eat, when it does not. */
export function AppetitePanel({ animal }: { animal: AnimalView }) {
  const { toggle } = useWhy();
  const [asking, setAsking] = useState(false);
  const { variety, notEating } = animal;
  const eaten = variety.feeders.filter((f) => f.meals > 0);
  return (
    <section aria-labelledby="appetite" className="mt-4">
      <h2 id="appetite" className="mb-1 text-18">
        Appetite
        {variety.meals > 0 && (
          <span className="ml-2 font-text text-13 font-normal tracking-normal text-muted">
            last {variety.meals} {variety.meals === 1 ? 'meal' : 'meals'}
            {variety.evenness === null
              ? ''
              : `, ${variety.evenness > 0.8 ? 'well mixed' : variety.evenness > 0.5 ? 'fairly mixed' : 'much the same'}`}
          </span>
        )}
      </h2>
      {notEating.value !== null && (
        <p
          className={`mb-2 border-l-2 pl-2 text-13 ${notEating.value.isNormal ? 'border-hush' : 'border-lampmark'}`}
        >
          {notEating.summary}{' '}
          <Button
            kind="link"
            onClick={() =>
              toggle({
                title: 'Why does it not eat?',
                animal: whyAnimal(animal),
                summary: notEating.summary,
                reasons: notEating.reasons,
              })
            }
          >
            why
          </Button>
        </p>
      )}
      {eaten.length === 0 ? (
        <p className="text-13 text-muted">No meal on record yet.</p>
      ) : (
        <>
          <svg viewBox="0 0 300 14" className="block w-full" aria-hidden="true" preserveAspectRatio="none">
            {eaten.map((f, k) => {
              const before = eaten.slice(0, k).reduce((sum, x) => sum + x.meals, 0);
              return (
                <rect
                  key={f.feederId}
                  x={(before / variety.meals) * 300}
                  y="1"
                  width={Math.max(1, (f.meals / variety.meals) * 300 - 2)}
                  height="12"
                  fill="var(--moss)"
                  fillOpacity={shades[k] ?? 0.14}
                />
              );
            })}
          </svg>
          <DataTable
            label="Food of its last meals"
            headIsHeard
            className="mt-1"
            rows={variety.feeders.slice(0, 5)}
            keyOf={(f) => f.feederId}
            columns={[
              {
                id: 'food',
                title: 'Food',
                names: true,
                cell: (f) => (
                  <>
                    {f.name}
                    {variety.tired === f.feederId && <span className="text-lamptext"> too often</span>}
                  </>
                ),
              },
              {
                id: 'meals',
                title: 'Meals',
                right: true,
                className: 'whitespace-nowrap',
                cell: (f) => `${f.meals} of ${variety.meals}`,
              },
              {
                id: 'taken',
                title: 'Taken of offered',
                right: true,
                className: 'whitespace-nowrap text-muted',
                cell: (f) => (f.offered === 0 ? '' : `took ${f.taken} of ${f.offered}`),
              },
            ]}
          />
          {variety.fatIsHeld && (
            <p className="text-13 text-lamptext">Rich in fat enough of late: lean prey now.</p>
          )}
        </>
      )}
      {animal.vials.length > 0 && (
        <p className="mt-2 text-13">
          Left their last meal:{' '}
          {animal.vials
            .map((v) => `no. ${v.number}${v.times > 1 ? ` (${v.times} in a row)` : ''}`)
            .join(', ')}
          .
          {animal.restingVials.length > 0 &&
            ' Those that left two in a row are passed over: look for premolt.'}
        </p>
      )}
      {animal.takesPrey && animal.departure === null && (
        <p className="mt-2 text-13">
          <Button kind="link" onClick={() => setAsking(true)}>
            What if {animal.it} were fed otherwise?
          </Button>
        </p>
      )}
      {asking && <FedOtherwise animal={animal} onClose={() => setAsking(false)} />}
    </section>
  );
}
