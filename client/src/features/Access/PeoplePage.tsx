import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { type SubmitEvent, useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import {
  useAccess,
  useAddHelper,
  useChangePassword,
  useEndSession,
  useRemoveHelper,
  useSession,
  useSetOwner,
  useSignOut,
} from './queries';
import { clockTime, shortDate, dayOf } from '../../ui/dates';
import { Choice, FormError, TextField } from '../../ui/Field';
import { Waiting } from '../../ui/Waiting';
import { AccessNotes } from './AccessNotes';
import { Secret } from './Secret';
import { DoorwaySection } from '../Doorway/DoorwaySection';
import { ContactsSection } from '../Contacts/ContactsSection';
import { SitterLinksSection } from '../Sitter/SitterLinksSection';

/** Who may come in, where they are signed in, and links for sitters. */
export function PeoplePage() {
  return (
    <Waiting query={useSession()} what="People">
      {(session) => (
        <div className="mx-auto grid w-full max-w-[860px] grid-cols-1 gap-7 px-6 pt-4 pb-10 max-sm:px-4">
          <div>
            <PageTitle>People</PageTitle>
            <h1 className="page-title">People</h1>
            <p className="text-muted">
              {session.needed
                ? `You are signed in as ${session.name ?? 'nobody'}${session.isOwner ? ', the owner' : ''}.`
                : 'The room is open on this computer only, and asks nobody for anything.'}
            </p>
          </div>
          {session.isOwner ? (
            <>
              <OnNetwork session={session} />
              <DoorwaySection />
              <Access />
              <SitterLinksSection />
            </>
          ) : null}
          <ContactsSection />
          {session.needed && <Own />}
        </div>
      )}
    </Waiting>
  );
}

function OnNetwork({ session }: { session: Schemas['SessionView'] }) {
  const set = useSetOwner();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const [former, setFormer] = useState('');
  const refusal = set.error instanceof Refusal ? set.error : null;
  const save = (event: SubmitEvent) => {
    event.preventDefault();
    set.mutate(
      { name, password, former: session.passwordSet ? former : null },
      {
        onSuccess: () => {
          setPassword('');
          setFormer('');
        },
      },
    );
  };
  return (
    <section className="grid gap-3 border-t border-line pt-4">
      <h2 className="text-18">On your network</h2>
      <p className="max-w-[64ch] text-13 text-muted">
        To use the room from a phone, set an owner’s password here and start it with{' '}
        <b className="font-semibold whitespace-nowrap">./lantern start --lan</b>. Then everybody signs in; a
        sitter’s link opens the sitter’s sheet and nothing else.
      </p>
      <form onSubmit={save} noValidate className="grid items-start gap-3 sm:grid-cols-[1fr_1fr_auto]">
        {session.passwordSet && (
          <div className="sm:col-span-3 sm:max-w-[50%]">
            <Secret
              label="Password that is set now"
              error={refusal?.for('former')}
              autoComplete="current-password"
              value={former}
              onChange={setFormer}
            />
          </div>
        )}
        <TextField label="Owner’s name" error={refusal?.for('name')} value={name} onChange={setName} />
        <Secret
          label={session.passwordSet ? 'New password' : 'Password'}
          hint="At least 10 characters"
          error={refusal?.for('password')}
          autoComplete="new-password"
          value={password}
          onChange={setPassword}
        />
        <Button type="submit" className="mt-[22px]" disabled={set.isPending}>
          {session.passwordSet ? 'Change' : 'Set'}
        </Button>
      </form>
      <FormError>{refusal?.all}</FormError>
      <p role="status" className="text-mosstext">
        {set.isSuccess ? 'Set. Where the owner was signed in, the password is asked for again.' : ''}
      </p>
    </section>
  );
}

function Access() {
  return (
    <Waiting query={useAccess(true)} what="The list">
      {(access) => <Lists access={access} />}
    </Waiting>
  );
}

function Lists({ access }: { access: Schemas['AccessView'] }) {
  const add = useAddHelper();
  const [role, setRole] = useState<'helper' | 'reader'>('helper');
  const remove = useRemoveHelper();
  const end = useEndSession();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const refusal = add.error instanceof Refusal ? add.error : null;
  const save = (event: SubmitEvent) => {
    event.preventDefault();
    add.mutate(
      { name, password, isReader: role === 'reader' },
      {
        onSuccess: () => {
          setName('');
          setPassword('');
        },
      },
    );
  };
  return (
    <>
      <section className="grid gap-2 border-t border-line pt-4">
        <h2 className="text-18">Helpers</h2>
        <p className="max-w-[64ch] text-13 text-muted">
          A helper signs in as themself, and what they log bears their name. Helpers log and read everything;
          rules, settings, shelves, copies and people stay with the owner. A reader looks and writes nothing.
        </p>
        <ul>
          {access.people.map((p) => (
            <li key={p.id} className="flex items-center gap-3 border-t border-line py-1.5">
              <b className="flex-1 font-semibold">{p.name}</b>
              {p.isReader && <span className="text-13 text-muted">reader</span>}
              {p.isOwner ? (
                <span className="text-13 text-muted">owner</span>
              ) : (
                <Button kind="plain" disabled={remove.isPending} onClick={() => remove.mutate(p.id)}>
                  Take off<span className="sr-only"> {p.name}</span>
                </Button>
              )}
            </li>
          ))}
        </ul>
        <form onSubmit={save} noValidate className="grid items-start gap-3 sm:grid-cols-[1fr_1fr_auto]">
          <TextField label="Helper’s name" error={refusal?.for('name')} value={name} onChange={setName} />
          <Secret
            label="Helper’s password"
            hint="At least 10 characters"
            error={refusal?.for('password')}
            autoComplete="new-password"
            value={password}
            onChange={setPassword}
          />
          <Button type="submit" className="mt-[22px]" disabled={add.isPending}>
            Add
          </Button>
          <div className="sm:col-span-3">
            <Choice
              label="They"
              options={[
                ['helper', 'Help: log and read'],
                ['reader', 'Read only'],
              ]}
              value={role}
              onChange={setRole}
            />
          </div>
        </form>
      </section>
      {access.sessions.length > 0 && (
        <section className="grid grid-cols-1 gap-2 border-t border-line pt-4">
          <h2 className="text-18">Signed in</h2>
          <ul>
            {access.sessions.map((s) => (
              <li key={s.id} className="flex items-center gap-3 border-t border-line py-1.5">
                <span className="min-w-0 flex-1">
                  <b className="font-semibold">{s.person}</b>
                  {s.isThis ? ' (here)' : ''} from {s.from}
                  <small className="block truncate text-13 text-muted">
                    last seen {shortDate(dayOf(s.seenAt))} {clockTime(s.seenAt)} · {s.browser}
                  </small>
                </span>
                <Button kind="plain" disabled={end.isPending} onClick={() => end.mutate(s.id)}>
                  End<span className="sr-only"> the session of {s.person}</span>
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <AccessNotes notes={access.log} />
    </>
  );
}

/** One's own password, and the way out. */
function Own() {
  const change = useChangePassword();
  const leave = useSignOut();
  const [former, setFormer] = useState('');
  const [password, setPassword] = useState('');
  const refusal = change.error instanceof Refusal ? change.error : null;
  const save = (event: SubmitEvent) => {
    event.preventDefault();
    change.mutate(
      { former, password },
      {
        onSuccess: () => {
          setFormer('');
          setPassword('');
        },
      },
    );
  };
  return (
    <section className="grid gap-3 border-t border-line pt-4">
      <h2 className="text-18">Yourself</h2>
      <form onSubmit={save} noValidate className="grid items-start gap-3 sm:grid-cols-[1fr_1fr_auto]">
        <Secret
          label="Your password now"
          error={refusal?.for('former')}
          autoComplete="current-password"
          value={former}
          onChange={setFormer}
        />
        <Secret
          label="Your new password"
          hint="At least 10 characters"
          error={refusal?.for('password')}
          autoComplete="new-password"
          value={password}
          onChange={setPassword}
        />
        <Button type="submit" className="mt-[22px]" disabled={change.isPending}>
          Change
        </Button>
      </form>
      <p role="status" className="text-mosstext">
        {change.isSuccess ? 'Changed. Elsewhere you must sign in again.' : ''}
      </p>
      <Button className="justify-self-start" onClick={() => leave.mutate()}>
        Sign out
      </Button>
    </section>
  );
}
