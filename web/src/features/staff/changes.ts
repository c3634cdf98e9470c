import { useChange } from '../../api/changes';
import type { Api } from '../../api/client';
import { answer, api } from '../../api/client';

const path = (id: number) => ({ params: { path: { id } } });

/** Adds somebody who works here and makes the link by which that person chooses a passphrase. */
export const useAddStaff = () =>
  useChange('staff', async ({ fields, link }: { fields: Api['StaffFields']; link: boolean }) => {
    const member = await answer(api.POST('/api/staff', { body: fields }));
    const invitation = link
      ? await answer(api.POST('/api/staff/{id}/invitation', path(member.id)))
      : undefined;
    return { member, invitation };
  });

/** Makes a new link for somebody; the one of before counts no longer. */
export const useInvite = () =>
  useChange('staff', async (member: Api['StaffMember']) => ({
    member,
    invitation: await answer(api.POST('/api/staff/{id}/invitation', path(member.id))),
  }));

export const useChangeRole = () =>
  useChange(
    'staff',
    ({ member, role }: { member: Api['StaffMember']; role: Api['Role'] }) =>
      answer(
        api.PUT('/api/staff/{id}', {
          ...path(member.id),
          body: { version: member.version, fields: { name: member.name, role } },
        }),
      ),
    { refreshOnError: true },
  );

/** Somebody works here no longer, or does again. */
export const useArchiveStaff = () =>
  useChange(
    'staff',
    ({ member, archived }: { member: Api['StaffMember']; archived: boolean }) =>
      answer(
        api.POST('/api/staff/{id}/archive', {
          ...path(member.id),
          body: { version: member.version, archived },
        }),
      ),
    { refreshOnError: true },
  );

export const useEndSession = () =>
  useChange('staff', (id: number) => answer(api.DELETE('/api/sessions/{id}', path(id))), {
    refreshOnError: true,
  });

/** From now on everybody signs in, this instructor first. */
export const useBeginSigningIn = () =>
  useChange('sign-in', (body: Api['FirstSignIn']) => answer(api.POST('/api/staff/first', { body })));

export const useChangePassphrase = () =>
  useChange('staff', (body: Api['NewPassphrase']) => answer(api.PUT('/api/me/passphrase', { body })));

/** Says who is at this device, where nobody signs in. */
export const useChooseName = () =>
  useChange('sign-in', (name: string) => answer(api.PUT('/api/me/name', { body: { name } })));
