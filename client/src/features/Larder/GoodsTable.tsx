import { useMayWrite } from '../../ui/mayWrite';
import { DataTable } from '../../ui/DataTable';
import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useLogInLarder } from './queries';
import { shortDate, toDays } from '../../ui/dates';
import { WhyLink } from './WhyLink';
import { newId } from '../../ui/newId';

type Goods = Schemas['GoodsOutlook'];

const plain = (n: number) => (n >= 10 ? Math.round(n).toString() : n.toFixed(1).replace('.0', ''));

/** Calcium, salt, vials, lining: how long they last. */
export function GoodsTable({ goods, tonight }: { goods: readonly Goods[]; tonight: string }) {
  return (
    <section aria-labelledby="goods" className="mt-5">
      <h2 id="goods" className="text-18">
        Goods
      </h2>
      <DataTable
        label="Goods"
        headIsHeard
        rows={goods}
        keyOf={(g) => g.goodsId}
        columns={[
          {
            id: 'kind',
            title: 'Kind',
            names: true,
            cell: (g) => (
              <>
                {g.name}
                <WhyLink
                  of={g.name}
                  summary={`${plain(g.perWeek)} ${g.unit} a week are used up.`}
                  reasons={g.reasons}
                />
                <span className="block text-12 text-muted">
                  {plain(g.perWeek)} {g.unit} a week
                </span>
              </>
            ),
          },
          { id: 'there', title: 'There', cell: (g) => <GoodsCount goods={g} /> },
          {
            id: 'order',
            title: 'Order by',
            right: true,
            cell: (g) => (
              <>
                {g.orderBy !== null && (
                  <span
                    className={toDays(g.orderBy) - toDays(tonight) <= 7 ? 'font-semibold text-lamptext' : ''}
                  >
                    order {g.orderBy <= tonight ? 'now' : `by ${shortDate(g.orderBy, tonight)}`}
                  </span>
                )}
                {g.lastsUntil !== null && (
                  <span className="block text-12 text-muted">
                    lasts to {shortDate(g.lastsUntil, tonight)}
                  </span>
                )}
              </>
            ),
          },
        ]}
      />
    </section>
  );
}

function GoodsCount({ goods: g }: { goods: Goods }) {
  const [text, setText] = useState<string | null>(null);
  const log = useLogInLarder();
  const mayWrite = useMayWrite();
  if (text === null) {
    const there = (
      <>
        <b className="font-semibold">{g.onHand === null ? '–' : plain(g.onHand)}</b> {g.unit}
      </>
    );
    return mayWrite ? (
      <button type="button" className="min-h-8 hover:underline" onClick={() => setText('')}>
        {there}
        <span className="sr-only"> of {g.name}: count</span>
      </button>
    ) : (
      there
    );
  }
  const quantity = Number(text.replace(',', '.'));
  const bad = text.trim() === '' || !Number.isFinite(quantity) || quantity < 0;
  return (
    <form
      className="flex items-center gap-1"
      onSubmit={(e) => {
        e.preventDefault();
        if (!bad) {
          log.mutate(
            {
              id: newId(),
              act: { kind: 'goodsCounted', goodsId: g.goodsId, quantity },
              text: `${g.name}: ${plain(quantity)} ${g.unit} counted`,
            },
            { onSuccess: () => setText(null) },
          );
        }
      }}
    >
      <input
        className="field h-8 w-16 px-1.5"
        inputMode="decimal"
        aria-label={`How much ${g.name} is there, in ${g.unit}?`}
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
