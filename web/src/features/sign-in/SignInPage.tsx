import { Button, PasswordInput, TextInput } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import { useState } from 'react';
import { ApiProblem, told } from '../../api/client';
import { useSignIn } from '../../api/session';
import styles from './SignIn.module.css';
import { Brand } from './Brand';
import { ofSchool } from '../../shared/school';

/** Asked of every browser once somebody has a passphrase; the name only where several have one. */
export default function SignInPage({ names }: { names: boolean }) {
  // The device remembers who signed in last: on most it is always the same person.
  const [name, setName] = useLocalStorage({
    key: ofSchool('yard-notch-signs-in'),
    defaultValue: '',
    getInitialValueInEffect: false,
  });
  const [passphrase, setPassphrase] = useState('');
  const signIn = useSignIn();
  const problem =
    signIn.error instanceof ApiProblem ? signIn.error.message : signIn.error ? told(signIn.error) : undefined;
  return (
    <main className={styles.page}>
      <form
        className={styles.card}
        onSubmit={(event) => {
          event.preventDefault();
          signIn.mutate({ name: names ? name : undefined, passphrase });
        }}
      >
        <Brand />
        {names && (
          <TextInput
            label="Name"
            size="md"
            autoComplete="username"
            value={name}
            onChange={(event) => setName(event.currentTarget.value)}
          />
        )}
        <PasswordInput
          label={names ? 'Passphrase' : 'Instructor’s passphrase'}
          size="md"
          autoComplete="current-password"
          value={passphrase}
          onChange={(event) => setPassphrase(event.currentTarget.value)}
          error={problem}
        />
        <Button type="submit" size="md" loading={signIn.isPending}>
          Sign in
        </Button>
        <p className="quiet">
          Forgotten? Any instructor makes you a new link, under “Who works here”; on the machine itself{' '}
          <code>yard-notch passphrase</code> sets one.
        </p>
      </form>
    </main>
  );
}
