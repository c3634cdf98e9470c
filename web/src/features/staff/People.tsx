import { Button, CopyButton, NativeSelect, TextInput } from '@mantine/core';
import type { Api } from '../../api/client';
import { useFields } from '../../shared/fields';
import { Trouble } from '../../shared/State';
import { useAddStaff, useArchiveStaff, useChangeRole, useInvite } from './changes';
import { MAY } from './You';
import styles from './Staff.module.css';
import { inSchool } from '../../shared/school';

const ROLES: Api['Role'][] = ['instructor', 'assistant'];

/** Everybody who works here: role, link, and who left. */
export function People({ people, leads }: { people: Api['StaffMember'][]; leads: boolean }) {
  const add = useAddStaff();
  const invite = useInvite();
  const role = useChangeRole();
  const archive = useArchiveStaff();
  const here = people.filter((member) => !member.archived);
  const left = people.filter((member) => member.archived);
  const latest = [add, invite].sort((a, b) => b.submittedAt - a.submittedAt)[0];
  return (
    <section className={styles.section} aria-label="People">
      <h2>People</h2>
      <ul className={styles.people}>
        {here.map((member) => (
          <li key={member.id}>
            <span className={styles.name}>
              <strong>{member.name}</strong>
              <span className="quiet">{stands(member)}</span>
            </span>
            {leads ? (
              <>
                <NativeSelect
                  aria-label={`Role of ${member.name}`}
                  w={124}
                  data={ROLES}
                  value={member.role}
                  onChange={(event) =>
                    role.mutate({ member, role: event.currentTarget.value as Api['Role'] })
                  }
                />
                <Button
                  variant="default"
                  onClick={() => invite.mutate(member)}
                  w={164}
                  aria-label={`${member.signs_in ? 'Forgot passphrase' : 'New link'}: ${member.name}`}
                >
                  {member.signs_in ? 'Forgot passphrase' : 'New link'}
                </Button>
                <Button
                  variant="subtle"
                  color="gray"
                  c="var(--ink)"
                  onClick={() => archive.mutate({ member, archived: true })}
                  aria-label={`Has left: ${member.name}`}
                >
                  Has left
                </Button>
              </>
            ) : (
              <span>{member.role}</span>
            )}
          </li>
        ))}
      </ul>
      <Trouble error={role.error ?? archive.error ?? invite.error} />
      {latest?.data?.invitation && <Link name={latest.data.member.name} path={latest.data.invitation.path} />}
      {leads && <Add add={add} />}
      {leads && left.length > 0 && (
        <details>
          <summary>{left.length} who left</summary>
          <ul className={styles.people}>
            {left.map((member) => (
              <li key={member.id}>
                <span className={styles.name}>{member.name}</span>
                <Button variant="default" onClick={() => archive.mutate({ member, archived: false })}>
                  Works here again
                </Button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function stands(member: Api['StaffMember']): string {
  if (member.invited)
    return member.signs_in ? 'signs in; has a link for a new passphrase' : 'has a link, not used yet';
  return member.signs_in ? 'signs in' : 'cannot sign in: needs a link';
}

/** The link, told this once. */
function Link({ name, path }: { name: string; path: string }) {
  const link = `${window.location.origin}${inSchool(path)}`;
  return (
    <div className={styles.link} role="status">
      <p>
        Give this link to <strong>{name}</strong>. It works once, for seven days, and is not shown again.
      </p>
      <code>{link}</code>
      <CopyButton value={link}>
        {({ copied, copy }) => (
          <Button variant="default" w="fit-content" onClick={copy}>
            {copied ? 'Copied' : 'Copy the link'}
          </Button>
        )}
      </CopyButton>
    </div>
  );
}

function Add({ add }: { add: ReturnType<typeof useAddStaff> }) {
  const { form, trouble, told } = useFields<{ name: string; role: Api['Role'] }>({
    name: '',
    role: 'assistant',
  });
  return (
    <form
      aria-label="Invite somebody"
      onSubmit={form.onSubmit((fields) =>
        add.mutate(
          { fields, link: true },
          {
            onError: told.onError,
            onSuccess: () => {
              told.onSuccess();
              form.reset();
            },
          },
        ),
      )}
    >
      <div className={styles.form}>
        <TextInput label="Name" w={240} autoComplete="off" {...form.getInputProps('name')} />
        <NativeSelect label="Role" data={ROLES} {...form.getInputProps('role')} />
        <Button type="submit" loading={add.isPending}>
          Invite
        </Button>
      </div>
      <p className="quiet">
        An {form.values.role} {MAY[form.values.role]}.
      </p>
      <Trouble error={trouble} />
    </form>
  );
}
