import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useLarder } from './queries';
import { shortDate, toDays } from '../../ui/dates';
import { Waiting } from '../../ui/Waiting';
import { ChillTimer } from './ChillTimer';
import { Cultures } from './Cultures';
import { FoodTable } from './FoodTable';
import { GoodsTable } from './GoodsTable';
import { LarderJournal } from './LarderJournal';
import { OrderDialog } from './OrderDialog';
import { Orders } from './Orders';
import { Plants } from './Plants';
import { PrintedList } from './PrintedList';
import { StepList } from './StepList';

/** What is there, what will be eaten, what to start or order by when. */
export function LarderPage() {
  return (
    <Waiting query={useLarder()} what="The larder">
      {(larder) => <Larder larder={larder} />}
    </Waiting>
  );
}

function Larder({ larder }: { larder: Schemas['LarderView'] }) {
  const [ordering, setOrdering] = useState<readonly Schemas['OrderLine'][] | null>(null);
  const { plan, tonight } = larder;
  return (
    <>
      <div className="print:hidden">
        <header className="flex flex-wrap items-end justify-between gap-3 px-6 pt-4 pb-3 max-sm:px-4">
          <div>
            <PageTitle>Larder</PageTitle>
            <h1 className="page-title">Larder</h1>
            <p className="text-muted">{headline(larder)}</p>
          </div>
          <div className="flex flex-wrap gap-2">
            <Link to="/larder/feeders" className="act px-3">
              Feeders
            </Link>
            <a className="act px-3" href="/api/larder/shopping.csv" download>
              Shopping list as CSV
            </a>
            <Button onClick={() => window.print()}>Print it</Button>
            <Button writes kind="first" onClick={() => setOrdering([])}>
              Order
            </Button>
          </div>
        </header>
        <div className="grid grid-cols-[1.5fr_1fr] border-t border-line px-6 pb-10 max-lg:grid-cols-1 max-sm:px-4 lg:[&>*+*]:ml-6 lg:[&>*+*]:border-l lg:[&>*+*]:border-line lg:[&>*+*]:pl-6">
          <div className="min-w-0">
            <StepList plan={plan} tonight={tonight} onOrder={setOrdering} />
            <Plants outlooks={plan.plants} plants={larder.plants} hosts={larder.hosts} tonight={tonight} />
            <FoodTable foods={plan.foods} tonight={tonight} />
          </div>
          <div className="min-w-0">
            <Orders orders={larder.orders} tonight={tonight} />
            <Cultures cultures={larder.cultures} tonight={tonight} />
            <ChillTimer bench={larder.bench} />
            <GoodsTable goods={plan.goods} tonight={tonight} />
            <LarderJournal lines={larder.journal} tonight={tonight} />
          </div>
        </div>
      </div>
      <PrintedList plan={plan} tonight={tonight} />
      {ordering !== null && (
        <OrderDialog supplier={larder.supplier} first={ordering} onClose={() => setOrdering(null)} />
      )}
    </>
  );
}

function headline({ plan, tonight, unsized }: Schemas['LarderView']): string {
  const soon = plan.foods.filter(
    (f) =>
      f.shortOn !== null && f.weeks.some((w) => w.demand > 0) && toDays(f.shortOn) - toDays(tonight) < 14,
  );
  const first =
    soon.length === 0
      ? 'Nothing runs short within two weeks.'
      : `${soon.length === 1 ? '1 food runs' : `${soon.length} foods run`} short within two weeks, the first ${
          soon[0]?.shortOn === tonight
            ? 'tonight'
            : `about ${shortDate(soon[0]?.shortOn ?? tonight, tonight)}`
        }.`;
  return unsized === 0
    ? first
    : `${first} ${unsized === 1 ? 'One enclosure' : `${unsized} enclosures`} cannot be planned for: measure first.`;
}
