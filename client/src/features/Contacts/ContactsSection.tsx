import { Writes } from '../../ui/Writes';
import { Button, IconButton } from '../../ui/Button';
import { X } from 'lucide-react';
import { type SubmitEvent, useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { useContacts, useSayContact } from './queries';
import { FormError, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';

const said = (contact: Schemas['Contact']) => (
  <>
    <b className="font-semibold">{contact.name}</b>
    {contact.note !== '' && <span className="ml-2 text-13 text-muted">{contact.note}</span>}
  </>
);

/** The people outside with whom the keeper deals: name and note, and nothing else. */
export function ContactsSection() {
  const contacts = useContacts().data ?? [];
  const say = useSayContact();
  const [id, setId] = useState(newId);
  const [name, setName] = useState('');
  const [note, setNote] = useState('');
  const refusal = say.error instanceof Refusal ? say.error : null;
  const known = contacts.some((c) => c.id === id);
  const clear = () => {
    setId(newId());
    setName('');
    setNote('');
  };
  const save = (event: SubmitEvent) => {
    event.preventDefault();
    say.mutate(
      { id: newId(), act: { kind: 'contactSaid', contactId: id, name, note }, text: `${name}: noted` },
      { onSuccess: clear },
    );
  };
  return (
    <section className="grid gap-3 border-t border-line pt-4" aria-labelledby="contacts">
      <h2 id="contacts" className="text-18">
        Keepers you deal with
      </h2>
      <p className="max-w-[64ch] text-13 text-muted">
        Breeders, borrowers, friends: a name to choose when an animal is lent, and a note of your own. They
        cannot sign in.
      </p>
      <ul>
        {contacts.map((contact) => (
          <li key={contact.id} className="flex items-center gap-3 border-t border-line py-1.5">
            <Writes instead={<span className="py-1.5">{said(contact)}</span>}>
              <button
                type="button"
                className="min-h-9 flex-1 text-left hover:underline"
                onClick={() => {
                  setId(contact.id);
                  setName(contact.name);
                  setNote(contact.note);
                }}
              >
                {said(contact)}
              </button>
              <IconButton
                label={`Take ${contact.name} off the list`}
                onClick={() =>
                  say.mutate({
                    id: newId(),
                    act: { kind: 'contactDropped', contactId: contact.id },
                    text: `${contact.name}: taken off the list`,
                  })
                }
              >
                <X className="size-4" />
              </IconButton>
            </Writes>
          </li>
        ))}
      </ul>
      <Writes>
        <form onSubmit={save} noValidate className="grid items-start gap-3 sm:grid-cols-[1fr_1fr_auto]">
          <TextField label="Their name" error={refusal?.for('name')} value={name} onChange={setName} />
          <TextField label="Note" error={refusal?.for('note')} value={note} onChange={setNote} />
          <Button type="submit" className="mt-[22px]" disabled={say.isPending}>
            {known ? 'Save' : 'Add'}
          </Button>
        </form>
      </Writes>
      <FormError>{refusal?.all}</FormError>
    </section>
  );
}
