import { Button } from '../../ui/Button';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Act, Schemas } from '../../api/client';
import { fetchStock, type StockFilter } from './queries';
import { useDone } from '../Journal/DoneContext';

interface Props {
  chosen: readonly Schemas['StockLine'][];
  total: number;
  filter: StockFilter;
  onChoose: (lines: readonly Schemas['StockLine'][]) => void;
}

/** What can be done to all that are chosen at once. */
export function StockActs({ chosen, total, filter, onChoose }: Props) {
  const { logMany, busy } = useDone();
  const navigate = useNavigate();
  const [loading, setLoading] = useState(false);
  const log = async (act: Act, words: string) => {
    const many = chosen.length === 1 ? '1 enclosure' : `${chosen.length} enclosures`;
    if (
      await logMany(
        chosen.map((s) => ({ stockId: s.stockId, act })),
        `${words}: ${many}`,
      )
    ) {
      onChoose([]);
    }
  };
  const all = async () => {
    setLoading(true);
    try {
      onChoose(await fetchStock(filter));
    } finally {
      setLoading(false);
    }
  };
  const here = chosen.every((s) => s.departure === null);
  return (
    <div
      role="toolbar"
      aria-label="For all chosen"
      className="flex flex-wrap items-center gap-2 border-t border-line bg-panel px-6 py-1.5 max-sm:px-4"
    >
      <b className="font-semibold">{chosen.length} chosen</b>
      {chosen.length < total && (
        <Button kind="link" className="text-13" disabled={loading} onClick={() => void all()}>
          choose all {total}
        </Button>
      )}
      <Button kind="link" className="text-13" onClick={() => onChoose([])}>
        none
      </Button>
      <span className="ml-auto flex flex-wrap gap-2">
        {here && (
          <>
            <Button
              disabled={busy}
              onClick={() => void log({ kind: 'watered', water: 'dish' }, 'Dish filled')}
            >
              Dish filled
            </Button>
            <Button disabled={busy} onClick={() => void log({ kind: 'watered', water: 'mist' }, 'Misted')}>
              Misted
            </Button>
            <Button disabled={busy} onClick={() => void log({ kind: 'looked' }, 'Looked, no sign')}>
              Looked, no sign
            </Button>
          </>
        )}
        <Button
          onClick={() =>
            void navigate('/paper/labels', { state: { stockIds: chosen.map((s) => s.stockId) } })
          }
        >
          Labels
        </Button>
      </span>
    </div>
  );
}
