import { Button, PasswordInput } from '@mantine/core';
import { useState } from 'react';
import { ApiProblem, told } from '../../api/client';
import { useSignIn } from '../../api/session';

/** Asked of every browser once a passphrase was set. */
export default function SignInPage() {
  const [passphrase, setPassphrase] = useState('');
  const signIn = useSignIn();
  const problem =
    signIn.error instanceof ApiProblem ? signIn.error.message : signIn.error ? told(signIn.error) : undefined;
  return (
    <main style={{ maxWidth: 380, margin: '14vh auto', padding: 24 }}>
      <form
        className="stack"
        onSubmit={(event) => {
          event.preventDefault();
          signIn.mutate(passphrase);
        }}
      >
        <h1>Yard Notch</h1>
        <PasswordInput
          label="Instructor’s passphrase"
          autoComplete="current-password"
          value={passphrase}
          onChange={(event) => setPassphrase(event.currentTarget.value)}
          error={problem}
        />
        <Button type="submit" loading={signIn.isPending}>
          Sign in
        </Button>
      </form>
    </main>
  );
}
