import AxeBuilder from '@axe-core/playwright';
import type { Browser, Page } from '@playwright/test';
import { expect, test } from './app';

const PASSPHRASE = 'lantern on the quay';

/** A second device, with cookies and storage of its own. */
async function device(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1024, height: 768 } });
  return context.newPage();
}

async function passesAxe(page: Page) {
  const found = await new AxeBuilder({ page }).analyze();
  expect(found.violations.map((each) => `${each.id}: ${each.nodes[0]?.html}`)).toEqual([]);
}

test('an assistant is invited, signs in on a tablet, marks, and is refused to edit a standard', async ({
  page,
  browser,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/staff`);
  // One device, one name, without signing in.
  await page.getByLabel('Your name').fill('Mara Vey');
  await page.getByRole('button', { name: 'Use this name' }).click();
  await expect(page.getByRole('link', { name: 'Mara Vey' })).toBeVisible();

  await page.getByRole('button', { name: 'Have everybody sign in…' }).click();
  await page.getByLabel('Passphrase').fill('short');
  await page.getByRole('button', { name: 'Sign in from now on' }).click();
  await expect(page.getByText(/allowed: 10 to 200/)).toBeVisible();
  await page.getByLabel('Passphrase').fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Sign in from now on' }).click();
  await expect(page.getByRole('region', { name: 'People' })).toContainText('Mara Vey');

  const invite = page.getByRole('form', { name: 'Invite somebody' });
  await invite.getByLabel('Name').fill('Ivo Keel');
  await invite.getByRole('button', { name: 'Invite' }).click();
  const link = await page.getByRole('region', { name: 'People' }).locator('code').innerText();
  await passesAxe(page);

  const tablet = await device(browser);
  await tablet.goto(link);
  await expect(tablet.getByText('You are invited as Ivo Keel, assistant.')).toBeVisible();
  await passesAxe(tablet);
  await tablet.getByLabel('Passphrase').fill('rope and tackle');
  await tablet.getByRole('button', { name: 'Begin' }).click();
  await expect(tablet.getByRole('link', { name: /Ivo Keel/ })).toBeVisible();

  // What an assistant does in class goes through…
  await tablet.goto(`${app.url}/courses/1/rack/5?view=check`);
  await tablet.getByRole('checkbox', { name: 'First-aid box at hand' }).click();
  await expect(tablet.getByRole('checkbox', { name: 'First-aid box at hand' })).toBeChecked();
  await expect(tablet.getByText(/Ivo Keel/).first()).toBeVisible();
  // …and the school's standards are an instructor's.
  await tablet.goto(`${app.url}/courses/1/playbook?view=own`);
  await tablet.getByRole('textbox', { name: 'julienne, thickness', exact: true }).fill('2.5');
  await tablet.getByLabel('Name of a copy').fill('Ours');
  await tablet.getByRole('button', { name: 'Save as a copy' }).click();
  await expect(tablet.getByText(/Only an instructor changes this/)).toBeVisible();

  await page.reload();
  const changes = page.getByRole('region', { name: 'What was changed' });
  await expect(
    changes.getByRole('row', { name: /Ivo Keel Ticked the check sheet · Lesson 5/ }),
  ).toBeVisible();

  // A tablet that was left behind is signed out; a link is taken once.
  await page.getByRole('button', { name: /Sign out Ivo Keel/ }).click();
  await expect(page.getByRole('button', { name: /Sign out Ivo Keel/ })).toHaveCount(0);
  await tablet.goto(`${app.url}/courses/1/yard`);
  await expect(tablet.getByLabel('Name')).toBeVisible();
  await passesAxe(tablet);
  await tablet.getByLabel('Name').fill('ivo keel');
  await tablet.getByLabel('Passphrase').fill('not this one at all');
  await tablet.getByRole('button', { name: 'Sign in' }).click();
  await expect(tablet.getByText(/Name and passphrase do not belong together/)).toBeVisible();
  await tablet.getByLabel('Passphrase').fill('rope and tackle');
  await tablet.keyboard.press('Enter');
  await expect(tablet.getByRole('heading', { name: 'Where everyone stands' })).toBeVisible();
  await tablet.goto(link);
  await expect(tablet.getByText(/this link was used/i)).toBeVisible();
});
