import { Button } from '../../ui/Button';
import { type SubmitEvent, useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { useMakeSitterLink, useSitterLinks, useWithdrawSitterLink } from './queries';
import { useDoorway } from '../Doorway/queries';
import { ScanCode } from '../Doorway/ScanCode';
import { useNightline } from '../Rounds/queries';
import { dateRange, fromDays, toDays } from '../../ui/dates';
import { Check, Field, FormError, TextField } from '../../ui/Field';
import { Waiting } from '../../ui/Waiting';

/** Links for people who mind the room: limited, and withdrawn with one tap. */
export function SitterLinksSection() {
  const tonight = useNightline().data?.tonight;
  return (
    <section className="grid gap-3 border-t border-line pt-4">
      <h2 className="text-18">Sitters</h2>
      <p className="max-w-[64ch] text-13 text-muted">
        A link opens tonight’s sheet: only what is safe, hushed animals named as “do not open”, whom to call.
        It runs out by itself, and what the sitter ticks is written under the sitter’s name.
      </p>
      <Waiting query={useSitterLinks(true)} what="The links">
        {(links) => (tonight === undefined ? null : <Links links={links} tonight={tonight} />)}
      </Waiting>
    </section>
  );
}

function Links({ links, tonight }: { links: readonly Schemas['SitterLinkView'][]; tonight: string }) {
  const make = useMakeSitterLink();
  const withdraw = useWithdrawSitterLink();
  const [name, setName] = useState('');
  const [from, setFrom] = useState(tonight);
  const [to, setTo] = useState(fromDays(toDays(tonight) + 7));
  const [twoPeople, setTwoPeople] = useState(false);
  const [contacts, setContacts] = useState('');
  const [note, setNote] = useState('');
  const refusal = make.error instanceof Refusal ? make.error : null;
  const door = useDoorway().data;
  const made = make.data;
  const save = (event: SubmitEvent) => {
    event.preventDefault();
    make.mutate({ name, from, to, twoPeople, contacts, note });
  };
  return (
    <>
      {links.length > 0 && (
        <ul>
          {links.map((link) => (
            <li key={link.id} className="flex items-center gap-3 border-t border-line py-1.5">
              <span className="min-w-0 flex-1">
                <b className="font-semibold">{link.name}</b>, {dateRange(link.from, link.to, tonight)}
                <small className="block text-13 text-muted">
                  {link.open ? 'open tonight' : 'not open yet'}
                  {link.twoPeople ? ' · two people for dangerous venom' : ' · dangerous venom left shut'}
                </small>
              </span>
              <Button kind="plain" disabled={withdraw.isPending} onClick={() => withdraw.mutate(link.id)}>
                Withdraw<span className="sr-only"> the link of {link.name}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
      <form onSubmit={save} noValidate className="grid gap-3">
        <div className="grid gap-3 sm:grid-cols-3">
          <TextField label="Sitter’s name" error={refusal?.for('name')} value={name} onChange={setName} />
          <TextField
            label="First night"
            type="date"
            error={refusal?.for('from')}
            value={from}
            onChange={setFrom}
          />
          <TextField label="Last night" type="date" error={refusal?.for('to')} value={to} onChange={setTo} />
        </div>
        <TextField
          label="Whom to call"
          hint="Names and numbers; an emergency number too"
          error={refusal?.for('contacts')}
          value={contacts}
          onChange={setContacts}
        />
        <Field label="What else to know" error={refusal?.for('note')}>
          {(p) => (
            <textarea
              {...p}
              rows={2}
              className="field"
              value={note}
              onChange={(e) => setNote(e.target.value)}
            />
          )}
        </Field>
        <Check
          label="A second person will be there for animals with dangerous venom"
          value={twoPeople}
          onChange={setTwoPeople}
        />
        <FormError>{refusal?.all}</FormError>
        <Button type="submit" className="justify-self-start" disabled={make.isPending}>
          Make a link
        </Button>
      </form>
      {made !== undefined && (
        <div className="border-l-2 border-lampmark pl-3">
          <p className="text-13">Give this to the sitter. It is shown only now.</p>
          <input
            className="field mt-1"
            readOnly
            aria-label="The sitter’s link"
            value={`${door?.address ?? window.location.origin}${made.path}`}
            onFocus={(event) => event.target.select()}
          />
          <div className="mt-2">
            <ScanCode path={made.path} of={`the sheet of ${name}`} />
          </div>
        </div>
      )}
    </>
  );
}
