import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { AnimalView } from '../../api/client';
import { Refusal } from '../../api/client';
import { useUndo } from './queries';
import { clockTime, dayDate, shortDate, dayOf } from '../../ui/dates';
import { FormError } from '../../ui/Field';
import { Menu, MenuItem } from '../../ui/Menu';
import { ActDialogFor } from './ActDialogFor';
import { hasForm } from './formKinds';
import { newId } from '../../ui/newId';

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
            className="grid grid-cols-[82px_minmax(0,1fr)_auto] items-start gap-x-2 border-t border-line py-1"
          >
            <time
              dateTime={line.at}
              className="text-muted"
              title={`${clockTime(line.at)}, written ${shortDate(dayOf(line.writtenAt))} by ${line.writtenBy}`}
            >
              {dayDate(line.night)}
            </time>
            <span>
              <span className={line.struckBy === null ? '' : 'text-muted line-through'}>{line.text}</span>
              {line.notBefore !== null && (
                <span className="text-muted"> found; last seen before {shortDate(line.notBefore)}</span>
              )}
              {line.struckBy !== null && <span className="sr-only"> (taken back or corrected)</span>}
              {line.against !== null && (
                <span className="block text-ember">against the hush: {line.against}</span>
              )}
              {line.corrects !== null && <span className="text-muted"> (correction)</span>}
            </span>
            {line.canBeCorrected && (
              <MendMenu
                line={line}
                onCorrect={() => setCorrecting(line)}
                onTakeBack={() =>
                  undo.mutate({
                    stockId: animal.stockId,
                    entryId: line.id,
                    id: newId(),
                    text: `${animal.details.nickname}: taken back: ${line.text}`,
                  })
                }
              />
            )}
          </li>
        ))}
      </ol>
      <FormError>{undo.error instanceof Refusal ? undo.error.all : undefined}</FormError>
      {animal.journal.length > firstShown && (
        <Button kind="link" className="mt-2 text-13" onClick={() => setAll(!all)}>
          {all ? 'Show the newest only' : `Show all ${animal.journal.length} entries`}
        </Button>
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

interface MendMenuProps {
  line: Line;
  onCorrect: () => void;
  onTakeBack: () => void;
}

/** The two ways to mend an entry, behind one small button. */
function MendMenu({ line, onCorrect, onTakeBack }: MendMenuProps) {
  return (
    <Menu
      align="end"
      trigger={
        <Button writes kind="link" className="text-12 text-muted">
          mend<span className="sr-only"> “{line.text}”</span>
        </Button>
      }
    >
      {hasForm(line.act) && (
        <MenuItem letter="c" onSelect={onCorrect}>
          Correct…
        </MenuItem>
      )}
      <MenuItem letter="t" onSelect={onTakeBack}>
        Take back
      </MenuItem>
    </Menu>
  );
}
