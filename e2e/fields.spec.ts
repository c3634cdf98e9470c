import type { Locator, Page } from '@playwright/test';
import { expect, test } from './app';

/** The name that a problem gives is the label of the field that shows it. */
async function labelsAreTold(form: Locator) {
  const fields = form.locator(
    '[class*="InputWrapper-root"], [class*="TextInput-root"], [class*="NumberInput-root"]',
  );
  let told = 0;
  for (const field of await fields.all()) {
    const error = field.locator('[class*="InputWrapper-error"]');
    if ((await error.count()) === 0) continue;
    const label = (await field.locator('label').first().innerText())
      .replace(/\s*\*$/, '')
      .replace(/, mm$/, '');
    expect(await error.innerText(), `the problem at ${label}`).toMatch(new RegExp(`^${label}:`));
    told += 1;
  }
  return told;
}

async function emptied(page: Page, labels: string[]) {
  for (const label of labels) await page.getByLabel(label).first().fill('');
}

test('what a field is called is what its problem calls it: course and student', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/set-up`);
  const course = page.locator('form').first();
  await emptied(page, ['Name of the course', 'School', 'Kitchen']);
  await course.getByLabel('Boards', { exact: false }).first().fill('900');
  await course.getByRole('button', { name: 'Save the course' }).click();
  await expect(course.getByText('Kitchen: nothing was given')).toBeVisible();
  expect(await labelsAreTold(course)).toBe(4);
  const student = page.getByRole('form', { name: 'Add a student' });
  await student.getByLabel('Blade clearance').fill('500');
  await student.getByRole('button', { name: 'Add the student' }).click();
  await expect(student.getByText('Name: nothing was given')).toBeVisible();
  expect(await labelsAreTold(student)).toBe(2);
});

test('required fields are marked before they are missed', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/set-up`);
  for (const label of [
    'Name of the course',
    'School',
    'Kitchen',
    'Minutes of a lesson',
    'Name',
    'Blade clearance',
  ]) {
    await expect(page.locator('label', { hasText: label }).filter({ hasText: '*' }).first()).toBeVisible();
  }
});

test('the hour of a tick is the hour on the school’s wall, wherever the browser is', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/rack?view=check`);
  await page.getByLabel('Who is checking').fill('Mara');
  await page.getByRole('checkbox').first().click();
  // The demo’s evening begins at ten past six in Lisbon, which is 17:10 UTC; the browser is in Auckland.
  await expect(page.getByText(/Mara, 18:1\d/)).toBeVisible();
});
