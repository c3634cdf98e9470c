import { expect, test } from './app';

test('a first evening: a course, a student, knives, a lesson, an attempt, and all of it kept', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url);
  await page.getByRole('link', { name: 'A course of my own' }).click();
  await page.getByLabel('Name of the course').fill('Tuesday knives');
  await page.getByLabel('School').fill('Harbour Evening School');
  await page.getByRole('button', { name: 'Make the course' }).click();
  await expect(page.getByText('Kitchen: nothing was given')).toBeVisible();
  await page.getByLabel('Kitchen').fill('room 4');
  await page.getByRole('button', { name: 'Make the course' }).click();
  const form = page.getByRole('form', { name: 'Add a student' });
  await form.getByLabel('Name').fill('Ivo Brand');
  await form.getByLabel('Blade clearance, mm').fill('180');
  await form.getByRole('button', { name: 'Add the student' }).click();
  await expect(page.getByText('Ivo Brand')).toBeVisible();

  await page.getByRole('link', { name: 'Rack' }).click();
  await page.getByLabel('Number').fill('1');
  await page.getByLabel('Blade length, mm').fill('500');
  await page.getByRole('button', { name: 'Add to the rack' }).click();
  await expect(page.getByText(/Allowed: 180 to 280 mm for a chef's knife/)).toBeVisible();
  await page.getByLabel('Blade length, mm').fill('180');
  await page.getByRole('button', { name: 'Add to the rack' }).click();
  await expect(page.getByRole('button', { name: /^No\. 1, Chef's 180, sharp/ })).toBeVisible();

  await page.getByRole('link', { name: 'Plan' }).click();
  await page.getByLabel('Title').fill('First sticks');
  await page.getByLabel('Day and time').fill('2030-03-05T18:30');
  await page.getByRole('button', { name: 'Add the lesson' }).click();
  await expect(page.getByRole('heading', { name: 'First sticks' })).toBeVisible();
  await page.goto(`${page.url()}?add=1&food=carrot&cut=batonnet`);
  await page.getByRole('button', { name: 'Add to the lesson' }).click();
  await expect(page.getByRole('region', { name: 'Batonnet of carrot' })).toBeVisible();

  await page.keyboard.press('c');
  await page.getByRole('button', { name: 'Start the attempt' }).click();
  await page.getByRole('button', { name: 'Stop the attempt' }).click();
  await page.getByRole('textbox', { name: /One piece a line/ }).fill('6.4\n6.3\n6.5\n6.2');
  await page.getByRole('button', { name: 'Keep this sample' }).click();
  await expect(page.getByText('Kept from the last attempt')).toBeVisible();

  await empty.stop();
  await empty.start();
  await page.goto(`${empty.url}/courses/1/class/1`);
  await expect(page.getByText('4 of 4 inside: proves 51 %')).toBeVisible();
  await page.goto(`${empty.url}/courses/1/plan/1`);
  await expect(page.getByRole('region', { name: 'Batonnet of carrot' })).toBeVisible();
  await page.goto(`${empty.url}/courses/1/yard`);
  await expect(page.getByRole('row', { name: /Ivo Brand/ })).toBeVisible();
  await page.goto(`${empty.url}/courses/1/rack`);
  await expect(page.getByRole('button', { name: /^No\. 1, Chef's 180, sharp/ })).toBeVisible();
});

test('a stale edit is told, and the other change stays', async ({ page, app, context }) => {
  const other = await context.newPage();
  await page.goto(`${app.url}/courses/1/rack?knife=1`);
  await other.goto(`${app.url}/courses/1/rack?knife=1`);
  for (const each of [page, other]) await each.getByRole('tab', { name: 'Record' }).click();
  await other.getByLabel('Note').fill('Handle wrapped.');
  await other.getByRole('button', { name: 'Save the knife' }).click();
  await expect(other.getByRole('status').filter({ hasText: 'Saved.' })).toBeVisible();
  await page.getByLabel('Note').fill('Something else.');
  await page.getByRole('button', { name: 'Save the knife' }).click();
  await expect(page.getByRole('alert')).toContainText(
    'this knife was changed meanwhile, perhaps in another window',
  );
  await page.reload();
  await page.getByRole('tab', { name: 'Record' }).click();
  await expect(page.getByLabel('Note')).toHaveValue('Handle wrapped.');
});

test('a student deleted in another tab is told of, and can be brought back', async ({
  page,
  app,
  context,
}) => {
  await page.goto(`${app.url}/courses/1/class/5?student=3`);
  await expect(page.getByRole('button', { name: 'Start the attempt' })).toBeVisible();
  const other = await context.newPage();
  await other.goto(`${app.url}/courses/1/set-up`);
  await other.getByRole('button', { name: 'Take out Pell Quist' }).click();
  await expect(other.getByText('Pell Quist is out of the course; the record is kept.')).toBeVisible();
  await page.getByRole('button', { name: 'Start the attempt' }).click();
  await expect(page.getByRole('list', { name: 'Stations' }).getByRole('button')).toHaveCount(13);
  await other.getByRole('button', { name: 'Undo' }).click();
  await expect(other.getByRole('button', { name: 'Take out Pell Quist' })).toBeVisible();
});

test('when the program does not answer, what was typed stays and is told', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/rack?knife=2`);
  await page.getByRole('tab', { name: 'Record' }).click();
  await page.getByLabel('Note').fill('Keep me.');
  await app.stop();
  await page.getByRole('button', { name: 'Save the knife' }).click();
  await expect(page.getByText('The program is slow to answer. What you typed is kept.')).toBeVisible();
  // It is sent again a few times before it is given up, and then it is not known what became of it.
  await expect(page.getByRole('alert')).toContainText('it is not known whether this was saved', {
    timeout: 30_000,
  });
  await expect(page.getByLabel('Note')).toHaveValue('Keep me.');
});
