import { Select } from '../../ui/Select';
import { Button, IconButton } from '../../ui/Button';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { useOrder } from './queries';
import { Dialog } from '../../ui/Dialog';
import { Field, FormError } from '../../ui/Field';
import { newId } from '../../ui/newId';

type Offer = Schemas['SupplierOffer'];
type Line = Schemas['OrderLine'];

interface OrderDialogProps {
  supplier: readonly Offer[];
  first: readonly Line[];
  onClose: () => void;
}

interface Draft {
  key: string;
  quantity: string;
}

const keyOf = (item: { itemId: string; sizeClassId: string }) => `${item.itemId}/${item.sizeClassId}`;

const amountLabel = (offer: Offer | undefined) =>
  offer === undefined ? 'How many' : offer.pack === 1 ? offer.unit : `${offer.unit}, by ${offer.pack}`;

/** Rounds up to whole packs. */
const packed = (quantity: number, pack: number) => Math.max(1, Math.ceil(quantity / pack)) * pack;

/** An order to the supplier that comes with the product. */
export function OrderDialog({ supplier, first, onClose }: OrderDialogProps) {
  const offer = (key: string) => supplier.find((o) => keyOf(o) === key);
  const [lines, setLines] = useState<Draft[]>(() => {
    const start = first.filter((l) => offer(keyOf(l)) !== undefined);
    return (start.length > 0 ? start : supplier.slice(0, 1).map((o) => ({ ...o, quantity: o.pack }))).map(
      (l) => ({
        key: keyOf(l),
        quantity: String(packed(l.quantity, offer(keyOf(l))?.pack ?? 1)),
      }),
    );
  });
  const order = useOrder();
  const wrong = order.error instanceof Refusal ? order.error.all : undefined;
  const change = (k: number, next: Partial<Draft>) =>
    setLines(lines.map((line, i) => (i === k ? { ...line, ...next } : line)));
  const bad = lines.length === 0 || lines.some((l) => !/^\d{1,7}$/.test(l.quantity.trim()));
  return (
    <Dialog
      title="Order"
      hint="From the supplier that comes with the product: made up, but late and short now and then like a real one."
      onClose={onClose}
      wide
    >
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          order.mutate(
            {
              id: newId(),
              orderId: newId(),
              lines: lines.flatMap((l) => {
                const wanted = offer(l.key);
                return wanted === undefined
                  ? []
                  : [
                      {
                        itemId: wanted.itemId,
                        sizeClassId: wanted.sizeClassId,
                        quantity: Number(l.quantity),
                      },
                    ];
              }),
            },
            { onSuccess: onClose },
          );
        }}
      >
        {lines.map((line, k) => (
          <div key={`${k}${line.key}`} className="grid grid-cols-[minmax(0,1fr)_8rem_auto] items-end gap-2">
            <Select
              label={k === 0 ? 'What' : `What, line ${k + 1}`}
              options={supplier.map((o) => [keyOf(o), o.name] as const)}
              value={line.key}
              onChange={(key) => change(k, { key, quantity: String(offer(key)?.pack ?? 1) })}
            />
            <Field label={amountLabel(offer(line.key))}>
              {(p) => (
                <input
                  {...p}
                  className="field"
                  inputMode="numeric"
                  value={line.quantity}
                  onChange={(e) => change(k, { quantity: e.target.value })}
                />
              )}
            </Field>
            <IconButton
              label={`Leave out ${offer(line.key)?.name ?? ''}`}
              onClick={() => setLines(lines.filter((_, i) => i !== k))}
            >
              <X className="size-5" />
            </IconButton>
          </div>
        ))}
        <Button
          kind="link"
          className="flex items-center gap-1 justify-self-start"
          onClick={() => {
            const more = supplier.find((o) => lines.every((l) => l.key !== keyOf(o)));
            if (more !== undefined) {
              setLines([...lines, { key: keyOf(more), quantity: String(more.pack) }]);
            }
          }}
        >
          <Plus className="size-4" /> one more line
        </Button>
        <FormError>{wrong}</FormError>
        <Button kind="first" type="submit" className="justify-center" disabled={bad || order.isPending}>
          Send the order
        </Button>
      </form>
    </Dialog>
  );
}
