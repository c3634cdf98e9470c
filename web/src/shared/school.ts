/** What the addresses of the school begin with, as the page says; empty where it has the host to itself. */
const said =
  typeof document === 'undefined'
    ? ''
    : (document.querySelector('meta[name="school"]')?.getAttribute('content') ?? '');

export const SCHOOL = said.startsWith('/') ? said : '';

/** The address of something of this school. */
export const inSchool = (path: string) => `${SCHOOL}${path}`;

/** The name under which the device keeps something that a school wrote down: never another school's. */
export const ofSchool = (key: string) => (SCHOOL ? `${key} ${SCHOOL}` : key);
