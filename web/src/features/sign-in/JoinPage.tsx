import { Button, PasswordInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { answer, ask } from '../../api/client';
import { useJoin } from '../../api/session';
import { useFields } from '../../shared/fields';
import { Failed, Loading, Trouble } from '../../shared/State';
import { Brand } from './Brand';
import styles from './SignIn.module.css';

/** Where an invitation leads: somebody new chooses a passphrase and is in. */
export default function JoinPage() {
  const { secret = '' } = useParams();
  const invited = useQuery({
    queryKey: ['invited', secret],
    queryFn: () => answer(ask.GET('/api/join/{secret}', { params: { path: { secret } } })),
    retry: false,
    staleTime: Infinity,
  });
  const { form, trouble, told } = useFields({ passphrase: '' });
  const join = useJoin(secret);
  if (!invited.data)
    return invited.isError ? (
      <Failed error={invited.error} again={() => void invited.refetch()} />
    ) : (
      <Loading />
    );
  const { name, role } = invited.data;
  return (
    <main className={styles.page}>
      <form
        className={styles.card}
        onSubmit={form.onSubmit((fields) => join.mutate(fields.passphrase, told))}
      >
        <Brand />
        <p>
          You are invited as <strong>{name}</strong>, {role}. Choose a passphrase: at least 10 characters, a
          few words that you remember. You sign in with it from now on, on any device.
        </p>
        <input type="hidden" name="username" autoComplete="username" value={name} />
        <PasswordInput
          label="Passphrase"
          size="md"
          autoComplete="new-password"
          {...form.getInputProps('passphrase')}
        />
        <Button type="submit" size="md" loading={join.isPending}>
          Begin
        </Button>
        <Trouble error={trouble} />
      </form>
    </main>
  );
}
