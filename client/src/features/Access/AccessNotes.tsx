import type { Schemas } from '../../api/client';
import { clockTime, dayOf, shortDate } from '../../ui/dates';

const words: Record<Schemas['AccessEvent'], string> = {
  signedIn: 'signed in',
  refused: 'was refused',
  signedOut: 'signed out',
  passwordChanged: 'changed their password',
  ownerSet: 'set the owner’s password',
  personAdded: 'put on the list:',
  personRemoved: 'took off the list:',
  sessionEnded: 'ended a session elsewhere',
  linkMade: 'made a link for',
  linkEnded: 'withdrew the link of',
  calendarMade: 'made an address of the calendar',
  calendarEnded: 'took down the address of the calendar',
  gatewayMade: 'let in the gateway',
  gatewayEnded: 'shut out the gateway',
};

const shown = 12;

/** Who came in, who was refused, and every change of who may. */
export function AccessNotes({ notes }: { notes: readonly Schemas['AccessNote'][] }) {
  if (notes.length === 0) {
    return null;
  }
  const line = (note: Schemas['AccessNote']) => (
    <li key={`${note.at} ${note.what} ${note.who}`} className="border-t border-line py-1 text-13">
      <span className="text-muted">
        {shortDate(dayOf(note.at))} {clockTime(note.at)}
      </span>{' '}
      <b className={`font-semibold ${note.what === 'refused' ? 'text-ember' : ''}`}>{note.who}</b>{' '}
      {words[note.what]}
      {note.whom === null ? '' : ` ${note.whom}`}
      {note.from === '' ? '' : <span className="text-muted"> · {note.from}</span>}
    </li>
  );
  return (
    <section className="grid gap-2 border-t border-line pt-4">
      <h2 className="text-18">Who came in</h2>
      <ul>{notes.slice(0, shown).map(line)}</ul>
      {notes.length > shown && (
        <details>
          <summary className="linkish cursor-pointer text-13">{notes.length - shown} before</summary>
          <ul>{notes.slice(shown).map(line)}</ul>
        </details>
      )}
    </section>
  );
}
