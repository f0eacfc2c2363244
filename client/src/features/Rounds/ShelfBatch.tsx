import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { RoundLine } from '../../api/client';
import { Dialog } from '../../ui/Dialog';
import { Choice } from '../../ui/Field';
import { useDone } from '../Journal/DoneContext';
import { batchChoice } from './lineActs';

type What = 'water' | 'feed';

const words: Record<What, string> = { water: 'Watered', feed: 'Fed as offered' };

const linesFor = (lines: readonly RoundLine[], what: What) =>
  lines.filter((line) => line.act === what && batchChoice(line, what) !== undefined);

/** Whether several lines of a shelf can be logged in one go. */
export const canBatch = (lines: readonly RoundLine[]): boolean =>
  linesFor(lines, 'water').length > 1 || linesFor(lines, 'feed').length > 1;

/** One act for a whole shelf, with exceptions: what is left unticked stays on the round. */
export function ShelfBatch({
  shelf,
  lines,
  onClose,
}: {
  shelf: string;
  lines: readonly RoundLine[];
  onClose: () => void;
}) {
  const { logMany, busy } = useDone();
  const options = (['water', 'feed'] as const)
    .filter((what) => linesFor(lines, what).length > 0)
    .toSorted((a, b) => linesFor(lines, b).length - linesFor(lines, a).length)
    .map((what) => [what, `${words[what]} (${linesFor(lines, what).length})`] as const);
  const [what, setWhat] = useState<What>(options[0]?.[0] ?? 'water');
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const shown = linesFor(lines, what);
  const chosen = shown.filter((line) => !left.has(line.stockId));
  const toggle = (id: string) => {
    const next = new Set(left);
    if (!next.delete(id)) {
      next.add(id);
    }
    setLeft(next);
  };
  const log = async () => {
    const acts = chosen.flatMap((line) =>
      (batchChoice(line, what)?.acts ?? []).map((act) => ({ stockId: line.stockId, act })),
    );
    if (await logMany(acts, `${shelf}: ${words[what].toLowerCase()}, ${chosen.length} enclosures`)) {
      onClose();
    }
  };
  return (
    <Dialog
      title={`All of ${shelf}`}
      hint="Untick the exceptions: they stay on the round. Hushed animals are not among them."
      onClose={onClose}
    >
      <Choice label="What was done" options={options} value={what} onChange={setWhat} />
      <ul className="my-3 border-t border-line">
        {shown.map((line) => (
          <li key={line.stockId} className="border-b border-line">
            <label className="flex min-h-11 cursor-pointer items-center gap-3 py-1">
              <input
                type="checkbox"
                className="size-5 flex-none accent-lampmark"
                checked={!left.has(line.stockId)}
                onChange={() => toggle(line.stockId)}
              />
              <span className="min-w-0">
                <span className="code">{line.place}</span> <b className="font-semibold">{line.name}</b>
                <small className="block text-13 text-muted">{line.do}</small>
              </span>
            </label>
          </li>
        ))}
      </ul>
      <div className="flex justify-end gap-2">
        <Button kind="plain" onClick={onClose}>
          Cancel
        </Button>
        <Button kind="first" disabled={busy || chosen.length === 0} onClick={() => void log()}>
          Log {chosen.length}
        </Button>
      </div>
    </Dialog>
  );
}
