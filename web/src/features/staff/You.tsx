import { Button, PasswordInput, TextInput } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import type { Api } from '../../api/client';
import { useSignOut } from '../../api/session';
import { useFields } from '../../shared/fields';
import { Trouble } from '../../shared/State';
import { useBeginSigningIn, useChangePassphrase, useChooseName } from './changes';
import styles from './Staff.module.css';

/** What each role may change, as it is told wherever one is given. */
export const MAY: Record<Api['Role'], string> = {
  instructor: 'changes everything',
  assistant: 'writes down marks, measured pieces, counts, ticks and care; reads everything',
};

/** Who is at this device. */
export function You({ who, signsIn }: { who: Api['WhoIsHere']; signsIn: boolean }) {
  return (
    <section className={styles.section} aria-label="You">
      <h2>You</h2>
      {signsIn ? <Signed who={who} /> : <Named name={who.name} />}
    </section>
  );
}

function Signed({ who }: { who: Api['WhoIsHere'] }) {
  const signOut = useSignOut();
  const [changing, { toggle, close }] = useDisclosure();
  return (
    <>
      <p>
        <strong>{who.name}</strong>, {who.role}: {MAY[who.role]}.
      </p>
      <div className="row">
        <Button variant="default" onClick={() => signOut.mutate(undefined)} loading={signOut.isPending}>
          Sign out
        </Button>
        <Button variant="default" onClick={toggle} aria-expanded={changing}>
          Another passphrase…
        </Button>
      </div>
      <Trouble error={signOut.error} />
      {changing && <Passphrase done={close} />}
    </>
  );
}

function Passphrase({ done }: { done: () => void }) {
  const { form, trouble, told } = useFields({ current: '', passphrase: '' });
  const change = useChangePassphrase();
  return (
    <form
      onSubmit={form.onSubmit((fields) =>
        change.mutate(fields, {
          onError: told.onError,
          onSuccess: () => {
            told.onSuccess();
            done();
          },
        }),
      )}
    >
      <div className={styles.form}>
        <PasswordInput
          label="Passphrase now"
          autoComplete="current-password"
          w={240}
          {...form.getInputProps('current')}
        />
        <PasswordInput
          label="Passphrase from now on"
          autoComplete="new-password"
          w={240}
          {...form.getInputProps('passphrase')}
        />
        <Button type="submit" loading={change.isPending}>
          Change it
        </Button>
      </div>
      <p className="quiet">Your other devices must sign in again with it.</p>
      <Trouble error={trouble} />
    </form>
  );
}

/** Where nobody signs in: a name for this device, and the way to passphrases. */
function Named({ name }: { name: string }) {
  const { form, trouble, told } = useFields({ name });
  const choose = useChooseName();
  return (
    <>
      <p>
        Nobody signs in here: whoever sits at this machine may change everything. What is changed from this
        device is noted under the name below.
      </p>
      <form onSubmit={form.onSubmit((fields) => choose.mutate(fields.name, told))}>
        <div className={styles.form}>
          <TextInput label="Your name" autoComplete="name" w={240} {...form.getInputProps('name')} />
          <Button type="submit" disabled={form.values.name.trim() === name} loading={choose.isPending}>
            Use this name
          </Button>
        </div>
        <Trouble error={trouble} />
      </form>
      <Begin key={name} name={name} />
    </>
  );
}

function Begin({ name }: { name: string }) {
  const [open, { toggle }] = useDisclosure();
  const { form, trouble, told } = useFields({ name, passphrase: '' });
  const begin = useBeginSigningIn();
  return (
    <>
      <Button variant="default" w="fit-content" onClick={toggle} aria-expanded={open}>
        Have everybody sign in…
      </Button>
      {open && (
        <form onSubmit={form.onSubmit((fields) => begin.mutate(fields, told))} className="tight">
          <p>
            You come first, as an instructor, with a passphrase of at least 10 characters. Then you invite the
            others. It is needed before other devices can reach the program.
          </p>
          <div className={styles.form}>
            <TextInput
              label="Name to sign in with"
              autoComplete="username"
              w={240}
              {...form.getInputProps('name')}
            />
            <PasswordInput
              label="Passphrase"
              autoComplete="new-password"
              w={240}
              {...form.getInputProps('passphrase')}
            />
            <Button type="submit" loading={begin.isPending}>
              Sign in from now on
            </Button>
          </div>
          <Trouble error={trouble} />
          <p className="quiet">
            If it is ever forgotten, type <code>yard-notch passphrase</code> on this machine.
          </p>
        </form>
      )}
    </>
  );
}
