import { useState } from 'react';
import type { RoundLine } from '../../api/client';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Choice } from '../../ui/Field';
import { useDone } from '../Journal/DoneContext';
import { byWord } from './together';

interface ShelfBatchProps {
  shelf: string;
  lines: readonly RoundLine[];
  onClose: () => void;
}

/** One act for a whole shelf, with exceptions: what is left unticked stays on the round. */
export function ShelfBatch({ shelf, lines, onClose }: ShelfBatchProps) {
  const { logMany, busy } = useDone();
  const kinds = byWord(lines);
  const [word, setWord] = useState(kinds[0]?.word ?? '');
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const shown = kinds.find((kind) => kind.word === word)?.lines ?? [];
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
      (line.together?.acts ?? []).map((act) => ({ stockId: line.stockId, act })),
    );
    if (await logMany(acts, `${shelf}: ${word.toLowerCase()}, ${chosen.length} enclosures`)) {
      onClose();
    }
  };
  return (
    <Dialog
      title={`All of ${shelf}`}
      hint="Untick the exceptions: they stay on the round. Hushed animals are not among them."
      onClose={onClose}
    >
      <Choice
        label="What was done"
        options={kinds.map((kind) => [kind.word, `${kind.word} (${kind.lines.length})`] as const)}
        value={word}
        onChange={setWord}
      />
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
