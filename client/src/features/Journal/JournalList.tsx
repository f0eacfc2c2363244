import { useState } from 'react';
import type { AnimalView } from '../../api/client';
import { Refusal } from '../../api/client';
import { useUndo } from '../../api/queries';
import { clockTime, dayDate, shortDate } from '../../ui/dates';
import { FormError } from '../../ui/Field';
import { ActDialogFor } from './ActDialogFor';
import { hasForm } from './acts';

type Line = AnimalView['journal'][number];

const firstShown = 12;

/** The journal, newest first. Nothing is ever gone: corrected and withdrawn entries stay, struck through. */
export function JournalList({ animal }: { animal: AnimalView }) {
  const [all, setAll] = useState(false);
  const [correcting, setCorrecting] = useState<Line | null>(null);
  const undo = useUndo();
  const lines = all ? animal.journal : animal.journal.slice(0, firstShown);
  const act = correcting?.act;
  return (
    <>
      <ol className="text-13">
        {lines.map((line) => (
          <li
            key={line.id}
            className="group relative grid grid-cols-[82px_minmax(0,1fr)] items-start gap-x-2 border-t border-line py-1"
          >
            <time
              dateTime={line.at}
              className="text-muted"
              title={`${clockTime(line.at)}, written ${shortDate(line.writtenAt.slice(0, 10))} by ${line.writtenBy}`}
            >
              {dayDate(line.night)}
            </time>
            <span>
              <span className={line.struckBy === null ? '' : 'text-muted line-through'}>{line.text}</span>
              {line.notBefore !== null && (
                <span className="text-muted"> found; last seen before {shortDate(line.notBefore)}</span>
              )}
              {line.struckBy !== null && <span className="sr-only"> (taken back or corrected)</span>}
              {line.corrects !== null && <span className="text-muted"> (correction)</span>}
            </span>
            {line.canBeCorrected && (
              <span className="flex gap-1 bg-bg pl-2 sm:absolute sm:top-1 sm:right-0 sm:opacity-0 sm:group-focus-within:opacity-100 sm:group-hover:opacity-100 pointer-coarse:opacity-100 max-sm:col-start-2">
                {hasForm(line.act) && (
                  <button type="button" className="linkish px-1" onClick={() => setCorrecting(line)}>
                    correct<span className="sr-only"> “{line.text}”</span>
                  </button>
                )}
                <button
                  type="button"
                  className="linkish px-1"
                  disabled={undo.isPending}
                  onClick={() =>
                    undo.mutate({ stockId: animal.stockId, entryId: line.id, id: crypto.randomUUID() })
                  }
                >
                  take back<span className="sr-only"> “{line.text}”</span>
                </button>
              </span>
            )}
          </li>
        ))}
      </ol>
      <FormError>{undo.error instanceof Refusal ? undo.error.all : undefined}</FormError>
      {animal.journal.length > firstShown && (
        <button type="button" className="linkish mt-2 min-h-8 text-13" onClick={() => setAll(!all)}>
          {all ? 'Show the newest only' : `Show all ${animal.journal.length} entries`}
        </button>
      )}
      {correcting !== null && act !== undefined && hasForm(act) && (
        <ActDialogFor
          stockId={animal.stockId}
          kind={act.kind}
          corrects={{ id: correcting.id, act, night: correcting.night, notBefore: correcting.notBefore }}
          onClose={() => setCorrecting(null)}
        />
      )}
    </>
  );
}
