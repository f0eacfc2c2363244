import { Button } from '../../ui/Button';
import { type SubmitEvent, useState } from 'react';
import { Refusal } from '../../api/client';
import { Dialog } from '../../ui/Dialog';
import { FormError, TextField } from '../../ui/Field';
import { Lantern } from '../../ui/Lantern';
import { useSignIn } from './queries';
import { Secret } from './Secret';

/** Where the room listens on the network, everybody signs in first. */
export function SignInPage() {
  return (
    <main className="grid h-full place-items-center p-6">
      <div className="w-full max-w-sm">
        <Lantern shutters={2} lit className="mx-auto size-16" />
        <h1 className="my-4 text-center text-30">Hushed Lantern</h1>
        <SignInForm />
      </div>
    </main>
  );
}

/** Signs in over the page on which one was; it cannot be put aside, for nothing behind it is answered. */
export function SignInAgain() {
  return (
    <Dialog title="Sign in again" hint="You were signed out meanwhile. What you entered is still here.">
      <SignInForm />
    </Dialog>
  );
}

function SignInForm() {
  const signIn = useSignIn();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const refusal = signIn.error instanceof Refusal ? signIn.error : null;
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    signIn.mutate({ name, password });
  };
  return (
    <form onSubmit={submit} noValidate className="grid gap-4">
      <TextField label="Name" value={name} onChange={setName} error={refusal?.for('name')} />
      <Secret
        label="Password"
        error={refusal?.for('password')}
        autoComplete="current-password"
        value={password}
        onChange={setPassword}
      />
      <FormError>{refusal !== null && refusal.status !== 400 ? refusal.all : undefined}</FormError>
      <Button kind="first" type="submit" className="justify-center" disabled={signIn.isPending}>
        Sign in
      </Button>
    </form>
  );
}
