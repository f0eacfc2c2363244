import { Button } from '../../ui/Button';
import { useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { useLogInLarder } from './queries';
import { Dialog } from '../../ui/Dialog';
import { dayDate } from '../../ui/dates';
import { FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';

type OrderView = Schemas['OrderView'];

/** What is on its way. */
export function Orders({ orders, tonight }: { orders: readonly OrderView[]; tonight: string }) {
  const [unpacking, setUnpacking] = useState<OrderView | null>(null);
  const log = useLogInLarder('button');
  return (
    <section aria-labelledby="orders" className="pt-3">
      <h2 id="orders" className="text-18">
        On its way
      </h2>
      {orders.length === 0 && <p className="py-1 text-muted">Nothing is ordered.</p>}
      <ul>
        {orders.map((order) => (
          <li key={order.id} className="flex items-start gap-3 border-t border-line py-1.5">
            <span className="min-w-0 flex-1">
              {order.lines.join(', ')}
              <span
                className={`block text-12 ${order.parcel.hasArrived ? 'font-semibold text-lamptext' : order.promisedOn < tonight ? 'text-ember' : 'text-muted'}`}
              >
                promised {dayDate(order.promisedOn)}: {order.parcel.says}
              </span>
            </span>
            {order.parcel.hasArrived ? (
              <Button writes kind="first" onClick={() => setUnpacking(order)}>
                Unpack
              </Button>
            ) : (
              <Button
                writes
                kind="link"
                onClick={() =>
                  log.mutate({
                    id: newId(),
                    act: { kind: 'orderCancelled', orderId: order.id },
                    text: `order given up: ${order.lines.join(', ')}`,
                  })
                }
              >
                give up<span className="sr-only"> {order.lines.join(', ')}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
      {unpacking !== null && <Unpack order={unpacking} onClose={() => setUnpacking(null)} />}
    </section>
  );
}

/** What was really in the parcel. */
function Unpack({ order, onClose }: { order: OrderView; onClose: () => void }) {
  const [counts, setCounts] = useState(order.parcel.lines.map((l) => String(l.quantity)));
  const log = useLogInLarder();
  const wrong = log.error instanceof Refusal ? log.error.all : undefined;
  const bad = counts.some((c) => !/^\d{1,7}$/.test(c.trim()));
  return (
    <Dialog
      title="What was in the parcel"
      hint="As the delivery note says; change what you counted otherwise."
      onClose={onClose}
    >
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          log.mutate(
            {
              id: newId(),
              act: {
                kind: 'orderArrived',
                orderId: order.id,
                lines: order.parcel.lines.map((l, k) => ({ ...l, quantity: Number(counts[k]) })),
              },
              text: `parcel unpacked: ${order.lines.join(', ')}`,
            },
            { onSuccess: onClose },
          );
        }}
      >
        {order.parcel.lines.map((line, k) => (
          <TextField
            key={`${line.itemId}${line.sizeClassId}`}
            label={`Ordered: ${order.lines[k] ?? line.itemId}`}
            inputMode="numeric"
            value={counts[k] ?? ''}
            onChange={(next) => setCounts(counts.map((c, i) => (i === k ? next : c)))}
          />
        ))}
        <FormError>{wrong}</FormError>
        <Button kind="first" type="submit" className="justify-center" disabled={bad || log.isPending}>
          Put it in the larder
        </Button>
      </form>
    </Dialog>
  );
}
