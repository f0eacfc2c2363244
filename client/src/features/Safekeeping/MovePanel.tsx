import { Refusal } from '../../api/client';
import { FilePick } from '../../ui/FilePick';
import { FormError } from '../../ui/Field';
import { useLoadRoom } from './queries';
import { countOf } from './words';

const tables = [
  ['stock', 'stock'],
  ['journal', 'journal'],
  ['larder', 'larder'],
  ['chores', 'chores'],
  ['gear', 'gear'],
  ['contacts', 'people'],
  ['occurrences', 'animals in Darwin Core'],
  ['events', 'events in Darwin Core'],
] as const;

/** How a room goes out and in: one open file with everything that was ever written. */
export function MovePanel() {
  const load = useLoadRoom();
  return (
    <section aria-labelledby="moving" className="grid gap-2">
      <h2 id="moving" className="text-22">
        The whole room as a file
      </h2>
      <p className="max-w-[70ch] text-13 text-muted">
        An archive in an open form: every entry, rule of your own, food, chore and picture, to read with any
        program or to take to another installation. Passwords and links for sitters do not go along. Loading
        one adds what is not here yet; the record is copied first, and a file that cannot be taken whole is
        not taken at all.
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <a className="act" href="/api/safekeeping/archive" download="room.zip">
          Write an archive
        </a>
        <FilePick
          accept=".zip,.json,application/zip,application/json"
          busy={load.isPending}
          onPick={(file) => load.mutate(file)}
        >
          Load a file
        </FilePick>
        <span role="status" className="text-mosstext">
          {load.isPending
            ? 'Loading: nothing can be written meanwhile…'
            : load.data === undefined
              ? ''
              : `Added ${countOf(load.data.stock, 'animal', 'animals')}, ${countOf(load.data.entries, 'entry', 'entries')} and ${countOf(load.data.pictures, 'picture', 'pictures')}.`}
        </span>
      </div>
      <p className="text-13 text-soft">
        As tables for a spreadsheet:{' '}
        {tables.map(([table, word], k) => (
          <span key={table}>
            {k > 0 && ', '}
            <a className="linkish" href={`/api/safekeeping/tables/${table}.csv`} download={`${table}.csv`}>
              {word}
            </a>
          </span>
        ))}
        .
      </p>
      <FormError>{load.error instanceof Refusal ? load.error.all : undefined}</FormError>
    </section>
  );
}
