import { Button } from '../../ui/Button';
import type { Schemas } from '../../api/client';
import { useLogInLarder } from './queries';
import { shortDate, dayOf } from '../../ui/dates';
import { newId } from '../../ui/newId';

/** The last things that happened in the larder; a mistake is taken back, never wiped out. */
export function LarderJournal({
  lines,
  tonight,
}: {
  lines: readonly Schemas['LarderLine'][];
  tonight: string;
}) {
  const log = useLogInLarder('button');
  return (
    <section aria-labelledby="larder-journal" className="mt-5">
      <h2 id="larder-journal" className="text-18">
        Journal
      </h2>
      <ul className="text-13">
        {lines.slice(0, 14).map((line) => (
          <li key={line.entryId} className="flex gap-3 border-t border-line py-1">
            <span className="w-16 flex-none text-muted">{shortDate(dayOf(line.at), tonight)}</span>
            <span className="min-w-0 flex-1">{line.text}</span>
            {line.canTakeBack && (
              <Button
                writes
                kind="link"
                aria-label={`take back ${line.text}`}
                onClick={() =>
                  log.mutate({
                    id: newId(),
                    act: { kind: 'larderWithdrawn', entryId: line.entryId },
                    text: `taken back: ${line.text}`,
                  })
                }
              >
                take back
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
