import { Button } from '../../ui/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useSettings } from '../Rooms/queries';
import { useNightline } from '../Rounds/queries';
import { useRehousing, useShelves } from './queries';
import { shortDate } from '../../ui/dates';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { WhyButton } from '../../ui/WhyButton';
import { Waiting } from '../../ui/Waiting';
import { ActDialogFor } from '../Journal/ActDialogFor';
import { useWhy } from '../Reasons/WhyContext';
import { proposedFor } from './nextEnclosure';

/** Who needs another enclosure when, and how many of which size to have ready. */
export function RehousingPage() {
  const unit = useSettings().data?.settings.unit ?? 'mm';
  const tonight = useNightline().data?.tonight ?? '';
  return (
    <Waiting query={useRehousing()} what="The plan of moves">
      {(plan) => (
        <div className="border-t border-line px-6 pt-3 pb-8 max-sm:px-4">
          {plan.broods.length > 0 && <Broods broods={plan.broods} tonight={tonight} />}
          {plan.needs.length === 0 ? (
            <p className="py-10 text-center text-muted">
              Nobody needs another enclosure within twelve weeks, as far as enclosures and animals were
              measured.
            </p>
          ) : (
            <>
              <Tubs plan={plan} unit={unit} tonight={tonight} />
              <Moves plan={plan} unit={unit} tonight={tonight} />
            </>
          )}
        </div>
      )}
    </Waiting>
  );
}

interface Props {
  plan: Schemas['RehousePlan'];
  unit: LengthUnit;
  tonight: string;
}

/** Broods of which each will live alone, with what that takes. */
function Broods({ broods, tonight }: { broods: readonly Schemas['BroodMove'][]; tonight: string }) {
  const { toggle } = useWhy();
  return (
    <section aria-label="Broods that go apart" className="mb-5">
      <h2 className="mb-1 text-18">Broods that go apart</h2>
      <ul className="border-t border-line">
        {broods.map((brood) => (
          <li
            key={brood.stockId}
            className="grid grid-cols-[76px_150px_minmax(0,1fr)_150px] items-start gap-x-3 border-b border-line py-2 max-lg:grid-cols-[76px_minmax(0,1fr)]"
          >
            <span className="code">{brood.place}</span>
            <div className="min-w-0 leading-tight">
              <Link to={`/stock/${brood.stockId}`} className="font-display font-semibold hover:underline">
                {brood.name}
              </Link>
              <i className="block truncate text-13 text-muted">{brood.species}</i>
            </div>
            <div className="max-lg:col-start-2">
              {brood.says}{' '}
              <WhyButton
                of={`when ${brood.name} go apart`}
                onClick={() =>
                  toggle({
                    title: 'When do they go apart?',
                    animal: {
                      stockId: brood.stockId,
                      place: brood.place,
                      name: brood.name,
                      species: brood.species,
                    },
                    summary: brood.says,
                    reasons: brood.why,
                  })
                }
              />
              <small className="block text-13 text-muted">
                {(Math.ceil(brood.apart.shelfMm / 100) / 10).toFixed(1)} m of shelf in one row, about{' '}
                {brood.apart.minutes} min
              </small>
            </div>
            <b className="font-semibold max-lg:col-start-2">
              {brood.apart.state === 'due'
                ? 'tonight'
                : brood.apart.on === null || brood.apart.on <= tonight
                  ? 'not yet'
                  : `from ${shortDate(brood.apart.on, tonight)}`}
            </b>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Tubs({ plan, unit, tonight }: Props) {
  return (
    <section aria-label="Have ready" className="mb-5">
      <h2 className="mb-1 text-18">Have ready</h2>
      <ul className="flex flex-wrap gap-x-8 gap-y-2">
        {plan.tubs.map((tub, k) => (
          <li key={k} className="flex items-baseline gap-2">
            <b className="font-display text-22 font-semibold">{tub.count}</b>
            <span>
              × {tub.tub ?? (tub.least === null ? 'another size' : `at least ${least(tub.least, unit)}`)}
              <small className="block text-13 text-muted">
                {tub.firstFrom === null
                  ? 'once a hush ends'
                  : `first from ${shortDate(tub.firstFrom, tonight)}`}
              </small>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const least = (c: Schemas['ContainerPlan'], unit: LengthUnit) =>
  `${fromMm(c.minWidthMm, unit)}${c.minDepthMm === null ? '' : ` × ${fromMm(c.minDepthMm, unit)}`} ${unit}, ${fromMm(c.minHeightMm, unit)} ${unit} free height`;

function Moves({ plan, unit, tonight }: Props) {
  const { toggle } = useWhy();
  const sizes = useShelves().data?.sizes;
  const [moving, setMoving] = useState<Schemas['RehouseNeed'] | null>(null);
  return (
    <section aria-label="Moves">
      <h2 className="mb-1 text-18">Moves, the earliest first</h2>
      <ul className="border-t border-line">
        {plan.needs.map((need) => (
          <li
            key={need.stockId}
            className="grid grid-cols-[76px_150px_minmax(0,1.2fr)_minmax(0,1fr)_auto] items-start gap-x-3 border-b border-line py-2 max-lg:grid-cols-[76px_minmax(0,1fr)_auto]"
          >
            <span className="code">{need.place}</span>
            <div className="min-w-0 leading-tight">
              <Link to={`/stock/${need.stockId}`} className="font-display font-semibold hover:underline">
                {need.name}
              </Link>
              <i className="block truncate text-13 text-muted">{need.species}</i>
            </div>
            <div className="max-lg:col-start-2">
              {need.why}{' '}
              <Button
                kind="link"
                className="text-13 text-lamptext"
                onClick={() =>
                  toggle({
                    title: `Why another for ${need.name}?`,
                    animal: {
                      stockId: need.stockId,
                      place: need.place,
                      name: need.name,
                      species: need.species,
                    },
                    summary: need.reason.summary,
                    reasons: need.reason.reasons,
                  })
                }
              >
                why
              </Button>
              <small className="block text-13 text-muted">
                {need.tub === null
                  ? `none of your sizes does: ${least(need.needs, unit)}`
                  : `into ${need.tub}${need.floorMm === null || need.floorMm === 0 ? '' : `, floor ${fromMm(need.floorMm, unit)} ${unit} deep`}`}
              </small>
            </div>
            <div className="max-lg:col-start-2">
              <b className="font-semibold">{when(need, tonight)}</b>
              {need.waits !== '' && <small className="block text-13 text-hush">{need.waits}</small>}
            </div>
            {need.from !== null && need.from <= tonight && (
              <Button writes onClick={() => setMoving(need)}>
                Moved<span className="sr-only">: {need.name}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
      {moving !== null && sizes !== undefined && (
        <ActDialogFor
          stockId={moving.stockId}
          kind="housed"
          start={{ kind: 'housed', enclosure: proposedFor(moving, sizes), rehoused: true }}
          onClose={() => setMoving(null)}
        />
      )}
    </section>
  );
}

function when(need: Schemas['RehouseNeed'], tonight: string): string {
  if (need.from === null) {
    return 'not while this lasts';
  }
  const from = need.from <= tonight ? 'from tonight' : `from ${shortDate(need.from, tonight)}`;
  return need.by === null
    ? from
    : need.by <= need.from
      ? `${from}, as soon as can be`
      : `${from}, best by ${shortDate(need.by, tonight)}`;
}
