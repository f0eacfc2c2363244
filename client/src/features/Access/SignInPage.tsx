import { type SubmitEvent, useState } from 'react';
import { Refusal } from '../../api/client';
import { useSignIn } from '../../api/accessQueries';
import { FormError, TextField } from '../../ui/Field';
import { Lantern } from '../../ui/Lantern';
import { Secret } from './PeoplePage';

/** Where the room listens on the network, everybody signs in first. */
export function SignInPage() {
  const signIn = useSignIn();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const refusal = signIn.error instanceof Refusal ? signIn.error : null;
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    signIn.mutate({ name, password });
  };
  return (
    <main className="grid h-full place-items-center p-6">
      <form onSubmit={submit} noValidate className="grid w-full max-w-sm gap-4">
        <Lantern shutters={2} lit className="mx-auto size-16" />
        <h1 className="text-center text-30">Hushed Lantern</h1>
        <TextField label="Name" value={name} onChange={setName} error={refusal?.for('name')} />
        <Secret
          label="Password"
          error={refusal?.for('password')}
          autoComplete="current-password"
          value={password}
          onChange={setPassword}
        />
        <FormError>{refusal !== null && refusal.status !== 400 ? refusal.all : undefined}</FormError>
        <button type="submit" className="act act-first justify-center" disabled={signIn.isPending}>
          Sign in
        </button>
      </form>
    </main>
  );
}
